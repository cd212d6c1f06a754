<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Api\KeptFile;
use App\Api\Problem;
use App\Api\Refused;
use App\Demo\WhileFilled;
use Illuminate\Contracts\Filesystem\Filesystem;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use OddBench\Shop\DiskRoom;
use PDOException;

/** What is said when something under the application is away or full: a clear answer, nothing half done. */
final class AwayTest extends BenchTestCase
{
    public function test_a_database_that_is_away_is_said_with_503_so_that_the_page_sends_it_again(): void
    {
        $this->actingAs($this->person());
        $port = config('database.connections.pgsql.port');
        config(['database.connections.pgsql.port' => 1]);
        DB::purge();
        try {
            $answer = $this->getJson('/api/v1/bench');
            $write = $this->send('POST', '/jobs', ['kind' => 'repair', 'complaint' => 'x', 'began' => 'crept-in']);
            config(['session.driver' => 'database']);
            $this->app->forgetInstance('session');
            $page = $this->get('/machines');
        } finally {
            config(['database.connections.pgsql.port' => $port]);
            DB::purge();
        }
        $answer->assertStatus(503);
        self::assertSame(
            ['application/problem+json', '2', 'The database is away just now.'],
            [$answer->headers->get('Content-Type'), $answer->headers->get('Retry-After'), $answer->json('detail')],
        );
        $write->assertStatus(503);
        self::assertContains($page->getStatusCode(), [200, 503]);
    }

    public function test_while_the_demo_is_filled_everybody_is_told_and_asks_again(): void
    {
        WhileFilled::during(function (): void {
            $answer = $this->getJson('/api/v1/session')->assertStatus(503);
            self::assertSame('The demo shop is being filled; that takes about ten seconds.', $answer->json('detail'));
            $page = $this->get('/machines')->assertStatus(503)->assertSee('The demo shop is being filled')->assertSee('opens by itself');
            self::assertSame('2', $page->headers->get('Retry-After'));
        });
        $this->get('/machines')->assertOk();
        try {
            WhileFilled::during(static fn () => throw new \LogicException('it broke'));
        } catch (\LogicException) {
            $this->get('/machines')->assertOk();
        }
    }

    public function test_what_the_database_says_when_it_is_killed_starts_or_has_no_room(): void
    {
        foreach ([
            'SQLSTATE[08006] [7] connection to server failed',
            'SQLSTATE[57P01]: Admin shutdown',
            'SQLSTATE[57P03]: the database system is starting up',
            'SQLSTATE[53300]: too many clients',
            'SQLSTATE[HY000]: General error: 7 server closed the connection unexpectedly',
        ] as $words) {
            self::assertTrue(Problem::isAway(new PDOException($words)), $words);
        }
        self::assertFalse(Problem::isAway(new PDOException('SQLSTATE[23505]: Unique violation')));
        self::assertTrue(Problem::isFull(new PDOException('SQLSTATE[53100]: Disk full: could not extend file')));
        self::assertSame(
            507,
            Problem::for(new \ErrorException('file_put_contents(): Write of 1 bytes failed with errno=28 No space left on device'))->response()
                ->getStatusCode(),
        );
    }

    public function test_a_file_the_disk_does_not_take_leaves_nothing_behind(): void
    {
        $disk = Storage::fake('local');
        KeptFile::put('papers/a/one.pdf', 'whole', 'file', 'paper');
        self::assertSame('whole', $disk->get('papers/a/one.pdf'));
        self::assertSame(['papers/a/one.pdf'], $disk->allFiles());

        // a disk that is full takes the first half and says nothing
        Storage::set('local', new class($disk)
        {
            public function __construct(private readonly Filesystem $disk)
            {
            }

            public function put(string $path, string $contents): bool
            {
                return $this->disk->put($path, substr($contents, 0, intdiv(strlen($contents), 2)));
            }

            /** @param  list<mixed>  $arguments */
            public function __call(string $method, array $arguments): mixed
            {
                return $this->disk->{$method}(...$arguments);
            }
        });
        try {
            KeptFile::put('papers/a/two.pdf', 'never whole', 'file', 'paper');
            self::fail('The disk took it.');
        } catch (Refused $e) {
            self::assertStringContainsString('Is it full?', $e->getMessage());
        }
        self::assertSame(['papers/a/one.pdf'], $disk->allFiles());
    }

    public function test_a_log_that_cannot_be_written_keeps_no_answer_back(): void
    {
        config(['logging.channels.daily.path' => '/proc/odd-bench/laravel.log']);
        $this->app->forgetInstance('log');
        self::assertSame(500, Problem::for(new \LogicException('not thought of'))->response()->getStatusCode());
    }

    public function test_a_disk_that_is_nearly_full_is_said_on_bench(): void
    {
        $this->actingAs($this->person());
        $this->app->instance(DiskRoom::class, new DiskRoom(50e9, 100e9));
        self::assertNull($this->getJson('/api/v1/bench')->assertOk()->json('diskLow'));
        $this->app->instance(DiskRoom::class, new DiskRoom(1e9, 100e9));
        self::assertStringContainsString('1.0 GB left', (string) $this->getJson('/api/v1/bench')->assertOk()->json('diskLow'));
    }

    public function test_keys_of_writes_older_than_a_week_are_forgotten(): void
    {
        $person = $this->person();
        foreach ([1, 6, 8, 90] as $days) {
            DB::table('once_keys')->insert([
                'person_id' => $person->id,
                'key' => (string) Str::uuid(),
                'request' => sha1("{$days}"),
                'created_at' => now()->subDays($days),
            ]);
        }
        self::assertSame(0, Artisan::call('odd-bench:prune'));
        self::assertSame(2, DB::table('once_keys')->count());
    }
}
