<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Job;
use App\Safety\RedTag;
use App\Shop\Person;
use App\Shop\Role;
use App\Shop\Security\SecurityEvent;
use App\Shop\Tablets\Sitting;
use App\Shop\Tries;
use Illuminate\Cache\RateLimiter;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter as RateLimiting;
use Illuminate\Testing\TestResponse;

/** A tablet that others use too: who is there, who signs, and how long it remembers. */
final class TabletsTest extends BenchTestCase
{
    private const PASSWORD = 'a-long-secret';

    private const PIN = '280417';

    public function test_a_pin_is_set_with_the_password_and_opens_only_a_shared_tablet(): void
    {
        $bo = $this->person();
        $this->logIn($bo, false);
        $this->assertRefused(
            $this->send('PUT', '/session/pin', ['current' => 'wrong-one', 'pin' => self::PIN]),
            422,
            'current',
            'not your password',
        );
        $this->assertRefused(
            $this->send('PUT', '/session/pin', ['current' => self::PASSWORD, 'pin' => '123456']),
            422,
            'pin',
            'tried first',
        );
        $this->send('PUT', '/session/pin', ['current' => self::PASSWORD, 'pin' => self::PIN])
            ->assertOk()
            ->assertJsonPath('person.hasPin', true);
        self::assertTrue(Hash::check(self::PIN, (string) $bo->refresh()->pin), 'only its hash is kept');

        $this->send('POST', '/session/lock')->assertOk()->assertJsonPath('person', null)->assertJsonPath('signers', []);
        $this->assertRefused($this->takeOver($bo), 422, 'pin', 'opens only a shared tablet');
    }

    public function test_a_shared_tablet_goes_from_hand_to_hand(): void
    {
        [$bo, $ada] = [$this->withPin(), $this->withPin(Role::Lead, '771204')];
        $this->logIn($bo, true)->assertJsonPath('shared', true);
        $this->send('POST', '/session/lock')->assertOk()
            ->assertJsonPath('person', null)
            ->assertJsonPath('signers.*.name', [$ada->name, $bo->name]);
        $this->getJson('/api/v1/bench')->assertStatus(401);
        $this->forget();
        $this->takeOver($ada, '771204')->assertOk()->assertJsonPath('person.name', $ada->name);
        $this->forget();
        $this->getJson('/api/v1/bench')->assertOk();
    }

    public function test_five_wrong_pins_and_it_rests_while_the_password_works(): void
    {
        $bo = $this->withPin();
        $this->logIn($bo, true);
        $this->send('POST', '/session/lock')->assertOk();
        for ($try = 0; $try < 5; $try++) {
            $this->assertRefused($this->takeOver($bo, '111213'), 422, 'pin', 'not the PIN');
        }
        $this->assertRefused($this->takeOver($bo), 422, 'pin', 'rests for 15 minutes');
        $this->logIn($bo, true)->assertOk();
        $this->travel(16)->minutes();
        $this->send('POST', '/session/lock')->assertOk();
        $this->takeOver($bo)->assertOk();
    }

    public function test_it_forgets_who_was_there_after_half_an_hour_of_rest_but_a_page_that_asks_by_itself_is_no_hand(): void
    {
        $bo = $this->withPin();
        $this->logIn($bo, true);
        foreach ([20, 20] as $minutes) {
            $this->travel($minutes)->minutes();
            $this->getJson('/api/v1/bench')->assertOk();
            $this->forget();
        }
        foreach ([20, 12] as $minutes) {
            $this->travel($minutes)->minutes();
            $last = $this->getJson('/api/v1/bench', ['X-By-Itself' => '1']);
            $this->forget();
        }
        $last->assertStatus(401);
        $this->getJson('/api/v1/session')->assertJsonPath('person', null)->assertJsonPath('signers.0.name', $bo->name);
    }

    public function test_own_devices_stay_open_through_the_day_and_none_longer_than_twelve_hours(): void
    {
        $bo = $this->withPin();
        $this->logIn($bo, false);
        foreach ([5, 5, 3] as $hours) {
            $this->travel($hours)->hours();
            $last = $this->getJson('/api/v1/bench');
            $this->forget();
        }
        $last->assertStatus(401);

        $this->logIn($bo, true);
        $this->send('POST', '/session/lock');
        $this->travel(Sitting::HOURS)->hours();
        $this->assertRefused($this->takeOver($bo), 422, 'pin', 'opens only a shared tablet');
        $this->getJson('/api/v1/session')->assertJsonPath('signers', []);
    }

    public function test_sixteen_tries_at_once_are_sixteen(): void
    {
        $folder = sys_get_temp_dir().'/odd-bench-tries-'.bin2hex(random_bytes(4));
        config(['cache.stores.tries' => ['driver' => 'file', 'path' => $folder, 'serialize' => false]]);
        Cache::forgetDriver('tries');
        $this->app->forgetInstance(RateLimiter::class);
        RateLimiting::clearResolvedInstances();
        $children = [];
        $go = microtime(true) + 0.3;
        foreach (range(1, 16) as $i) {
            $child = pcntl_fork();
            if ($child === 0) {
                while (microtime(true) < $go) {
                    // all of them at the same moment
                }
                $mine = array_map(static fn (): int => Tries::count('pin:7', 900), range(1, 5));
                file_put_contents("{$folder}-{$i}", implode(',', $mine));
                posix_kill((int) getmypid(), SIGKILL);
            }
            $children[] = $child;
        }
        array_map(static fn (int $child): int => pcntl_waitpid($child, $status), $children);
        $said = array_map(static fn (int $i): string => (string) file_get_contents("{$folder}-{$i}"), range(1, 16));
        File::delete(File::glob("{$folder}-*"));
        File::deleteDirectory($folder);
        $counted = array_map(intval(...), explode(',', implode(',', $said)));
        sort($counted);
        self::assertSame(range(1, 80), $counted);
    }

    public function test_a_signature_on_a_shared_tablet_is_the_signers_by_pin(): void
    {
        [$bo, $ada, $sam] = [$this->withPin(), $this->withPin(Role::Lead, '771204'), $this->withPin(Role::Counter, '905518')];
        $job = $this->tagged($bo);
        $this->logIn($bo, true);
        $first = ['cause' => 'Earth wire was off, crimped anew', 'measurement' => '0.1 Ω from plug to frame'];
        $this->assertRefused($this->send('POST', "/jobs/{$job->id}/red-tag/off", $first), 422, 'pin', 'takes the PIN');
        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/red-tag/off", [...$first, 'pin' => '111213']),
            422,
            'pin',
            'not the PIN',
        );
        $this->send('POST', "/jobs/{$job->id}/red-tag/off", [...$first, 'pin' => self::PIN])->assertOk();

        $second = "/jobs/{$job->id}/red-tag/countersignature";
        $this->send('POST', $second, ['pin' => self::PIN])->assertStatus(403);
        $this->send('POST', $second, ['signer' => $sam->id, 'pin' => '905518'])->assertStatus(403);
        $this->send('POST', $second, ['signer' => $ada->id, 'pin' => self::PIN])->assertStatus(422);
        $this->send('POST', $second, ['signer' => $ada->id, 'pin' => '771204'])->assertOk();
        $tag = RedTag::query()->firstOrFail();
        self::assertSame([$bo->id, $ada->id], [$tag->off_asked_by, $tag->countersigned_by]);
        $this->getJson('/api/v1/session')->assertJsonPath('person.name', $bo->name);
    }

    public function test_nobody_signs_as_somebody_else_without_the_pin_wherever_they_sit(): void
    {
        [$bo, $ada] = [$this->withPin(), $this->withPin(Role::Lead, '771204')];
        $job = $this->tagged($bo);
        $this->actingAs($bo);
        $this->send('POST', "/jobs/{$job->id}/red-tag/off", ['cause' => 'Earth wire was off', 'measurement' => '0.1 Ω'])->assertOk();
        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/red-tag/countersignature", ['signer' => $ada->id]),
            422,
            'pin',
            'takes the PIN',
        );
    }

    public function test_a_red_tagged_machine_goes_back_unmended_only_with_a_leads_signature(): void
    {
        [$bo, $ada] = [$this->person(), $this->person(Role::Lead)];
        $job = $this->tagged($bo, 'owner');
        $send = fn (): TestResponse => $this->send('POST', "/jobs/{$job->id}/release", [
            'to' => 'unmended', 'danger' => 'The frame may be live. Do not switch it on.', 'version' => $job->refresh()->version,
        ]);
        $this->actingAs($bo);
        $this->assertRefused($send(), 409, 'to', 'a lead signs that it goes back unmended');
        $this->actingAs($ada);
        $send()->assertOk();
    }

    public function test_what_leads_may_want_to_know_is_written_down_done_or_refused(): void
    {
        [$bo, $ada] = [$this->person(), $this->person(Role::Lead)];
        $this->postJson('/api/v1/session', ['login' => $bo->login, 'password' => 'wrong-one'])->assertStatus(422);
        $this->logIn($bo, false);
        $this->getJson('/api/v1/security')->assertStatus(403);
        $this->send('POST', '/people', ['login' => 'eve', 'name' => 'Eve', 'role' => 'lead'])->assertStatus(403);
        $this->send('DELETE', '/session')->assertOk();
        $this->forget();
        $this->actingAs($ada);
        $said = array_map(
            static fn (array $line): array => [$line['what'], $line['refused'], $line['person'], $line['about']],
            (array) $this->getJson('/api/v1/security')->assertOk()->json('events'),
        );
        self::assertSame([
            ['logged out', false, $bo->name, null],
            ['added somebody', true, $bo->name, '“eve”'],
            ['was forbidden', true, $bo->name, 'GET /api/v1/security'],
            ['logged in', false, $bo->name, "“{$bo->login}”"],
            ['logged in', true, null, "“{$bo->login}”"],
        ], $said);
        self::assertSame(0, SecurityEvent::query()->where('about', 'like', '%wrong-one%')->count());
    }

    public function test_a_write_of_another_places_page_is_refused(): void
    {
        $bo = $this->person();
        $this->postJson(
            '/api/v1/session',
            ['login' => $bo->login, 'password' => self::PASSWORD],
            ['Origin' => 'https://elsewhere.example'],
        )->assertStatus(403);
        $this->postJson(
            '/api/v1/session',
            ['login' => $bo->login, 'password' => self::PASSWORD],
            ['Origin' => rtrim(url('/'), '/')],
        )->assertOk();
    }

    public function test_many_people_behind_one_address_do_not_shut_each_other_out(): void
    {
        for ($try = 0; $try < 40; $try++) {
            $this->postJson('/api/v1/session', ['login' => "nobody{$try}", 'password' => 'wrong-one'])->assertStatus(422);
        }
        $this->logIn($this->person(), false)->assertOk();
    }

    public function test_one_who_asks_without_end_is_slowed_and_nobody_else_is(): void
    {
        config(['odd-bench.requests_a_minute' => 5]);
        [$bo, $sam] = [$this->person(), $this->person(Role::Counter)];
        $this->actingAs($bo);
        for ($i = 0; $i < 5; $i++) {
            $this->getJson('/api/v1/bench')->assertOk();
        }
        $this->getJson('/api/v1/bench')->assertStatus(429)->assertSee('Too many');
        $this->forget();
        $this->actingAs($sam);
        $this->getJson('/api/v1/bench')->assertOk();
        $this->travel(61)->seconds();
        $this->forget();
        $this->actingAs($bo);
        $this->getJson('/api/v1/bench')->assertOk();
    }

    private function tagged(Person $by, string $heldAs = 'farm'): Job
    {
        $job = $this->job(machine: $this->machine('tern-220', $heldAs));
        $this->actingAs($by);
        $this->send('POST', "/jobs/{$job->id}/red-tag", ['reason' => 'Frame tingles'])->assertOk();
        $this->forget();

        return $job->refresh();
    }

    private function withPin(Role $role = Role::Technician, string $pin = self::PIN): Person
    {
        $person = $this->person($role);
        $person->update(['pin' => Hash::make($pin)]);

        return $person;
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function logIn(Person $person, bool $shared): TestResponse
    {
        $this->forget();

        return $this->postJson(
            '/api/v1/session',
            ['login' => $person->login, 'password' => self::PASSWORD, 'shared' => $shared],
        )->assertOk();
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function takeOver(Person $person, string $pin = self::PIN): TestResponse
    {
        return $this->postJson('/api/v1/session/pin', ['person' => $person->id, 'pin' => $pin]);
    }

    /** Who is logged in is looked up anew, as in the next request of a real server. */
    private function forget(): void
    {
        $this->app->make('auth')->forgetGuards();
    }
}
