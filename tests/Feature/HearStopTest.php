<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Proof\Run\HearStop;
use App\Proof\Runner\RunFiles;
use App\Shop\Person;
use App\Shop\Role;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PDOException;

/** Stop is heard whatever the database does, by whom a login gave the right to. */
final class HearStopTest extends BenchTestCase
{
    private RunFiles $files;

    protected function setUp(): void
    {
        parent::setUp();
        $this->files = new RunFiles(sys_get_temp_dir().'/odd-bench-runs-'.bin2hex(random_bytes(4)));
        $this->app->instance(RunFiles::class, $this->files);
        $this->files->write(7, 'order', ['run' => 7]);
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), glob("{$this->files->folder}/*") ?: []);
        rmdir($this->files->folder);
        parent::tearDown();
    }

    public function test_stop_is_heard_while_the_database_is_held_up(): void
    {
        $this->actingAs($this->person());
        $this->databaseSays('SQLSTATE[55P03]: Lock not available: 7 ERROR:  canceling statement due to lock timeout');
        $this->stop($this->sealed(3600))->assertStatus(503)->assertHeader('Retry-After')
            ->assertJsonPath(
                'detail',
                'Stop was heard: its heaters go off. The database does not answer: what this page shows of it may be old.',
            );
        self::assertNotNull($this->files->read(7, 'stop'));
    }

    public function test_stop_is_heard_while_the_database_is_away(): void
    {
        $this->actingAs($this->person());
        $this->databaseSays('SQLSTATE[08006] [7] connection to server failed: Connection refused');
        self::assertStringStartsWith('Stop was heard', (string) $this->stop($this->sealed(3600))->assertStatus(503)->json('detail'));
        self::assertNotNull($this->files->read(7, 'stop'));
    }

    public function test_nobody_stops_without_the_right_to(): void
    {
        foreach ([null, '', 'nonsense', (string) (time() + 3600), $this->sealed(-1), Crypt::encryptString('soon')] as $cookie) {
            $this->stop($cookie)->assertUnauthorized();
            self::assertNull($this->files->stamp(7, 'stop'), (string) $cookie);
        }
        // a run there is no order of
        $this->stop($this->sealed(3600), 8);
        self::assertNull($this->files->stamp(8, 'stop'));
    }

    public function test_a_login_gives_the_right_to_whom_works_at_the_bench_and_takes_it_when_they_go(): void
    {
        foreach (Role::cases() as $role) {
            $person = $this->person($role);
            $cookie = $this->actingAs($person)->getJson('/api/v1/session')->assertOk()->getCookie(HearStop::COOKIE, decrypt: false);
            self::assertSame($role->worksAtTheBench(), $cookie?->getValue() !== '', $role->value);
            self::assertTrue($cookie?->isHttpOnly());
            self::assertSame('strict', $cookie->getSameSite());
            self::assertSame('/api/v1/jobs', $cookie->getPath());
        }
        $this->actingAs($this->person(Role::Technician));
        $gone = $this->send('DELETE', '/session')->getCookie(HearStop::COOKIE, decrypt: false);
        self::assertSame('', $gone?->getValue());
        self::assertSame(1, Person::query()->where('role', Role::Counter)->count());
    }

    public function test_a_lock_or_a_question_nobody_waits_for_is_said_in_words(): void
    {
        $this->actingAs($this->person());
        foreach (['55P03' => 'lock timeout', '57014' => 'statement timeout'] as $state => $why) {
            $this->databaseSays("SQLSTATE[{$state}]: canceling statement due to {$why}");
            $said = $this->getJson('/api/v1/machines')->assertStatus(503)->assertHeader('Retry-After')->json('detail');
            self::assertStringContainsString('Try again in a moment', (string) $said);
        }
    }

    public function test_a_file_that_is_written_again_is_seen_to_be_another(): void
    {
        // of the same length, in the same second, again and again: the number of a file that is gone is given to another
        $stamps = [];
        foreach (range(1, 40) as $i) {
            $this->files->write(7, 'said', ['heat' => sprintf('%04d', $i)]);
            $stamps[] = $this->files->stamp(7, 'said');
        }
        self::assertSame(40, count(array_unique($stamps)));
        self::assertNull($this->files->stamp(9, 'said'));
    }

    private function databaseSays(string $words): void
    {
        DB::beforeExecuting(static function () use ($words): void {
            throw new PDOException($words);
        });
    }

    private function sealed(int $for): string
    {
        return Crypt::encryptString((string) (time() + $for));
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function stop(?string $cookie, int $run = 7): TestResponse
    {
        return $this->call('POST', "/api/v1/jobs/1/proof-run/{$run}/stop", [], $cookie === null ? [] : [HearStop::COOKIE => $cookie], [], [
            'HTTP_ACCEPT' => 'application/json',
            'CONTENT_TYPE' => 'application/json',
            'HTTP_IDEMPOTENCY_KEY' => (string) Str::uuid(),
        ]);
    }
}
