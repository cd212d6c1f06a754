<?php

declare(strict_types=1);

namespace Tests\Races;

use App\Shop\Person;
use App\Shop\Role;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\Feature\BenchTestCase;

/**
 * Every write of the API, pressed eight times at the same moment by eight processes: with one key it is done once, with different
 * keys each is done or clearly refused, and none is answered by a fault of the server.
 */
final class RacesTest extends BenchTestCase implements Shop
{
    use PlaysLead;

    private const HANDS = 8;

    /** Their answer holds something that is shown once, and not again to whoever sends the write again. */
    private const SHOW_ONCE = ['POST people', 'POST people/{person}/code', 'POST tokens', 'POST plan/calendar-address'];

    private static bool $fresh = false;

    /** What is written is committed, on a database of its own: the other processes have to see it. */
    public function refreshDatabase(): void
    {
        config(['database.connections.pgsql.database' => 'odd_bench_race', 'session.driver' => 'array', 'queue.default' => 'database']);
        DB::purge();
        if (! self::$fresh) {
            Artisan::call('migrate:fresh', ['--force' => true]);
            self::$fresh = true;
        }
    }

    public function test_every_write_route_holds(): void
    {
        $scenes = (new Scenes(
            $this,
            fn (string $method, string $path, array $body): TestResponse => $this->sends($method, $path, $body),
        ))->all();
        self::assertSame([], array_diff($this->routes(), array_keys($scenes)), 'each write route has its scene');
        $hands = new Hands(
            self::HANDS,
            [
                'APP_ENV' => 'testing',
                'DB_DATABASE' => 'odd_bench_race',
                'SESSION_DRIVER' => 'array',
                'QUEUE_CONNECTION' => 'database',
                'BCRYPT_ROUNDS' => '4',
            ],
        );
        $crew = array_map(fn (): Person => $this->person(Role::Lead), range(1, self::HANDS));
        $wrong = [];
        foreach ($scenes as $route => $scene) {
            $this->lead();
            [$method, $path, $body] = $scene();
            $before = $this->rows();
            $once = $this->sends($method, $path, $body);
            if ($once->getStatusCode() >= 300) {
                $wrong[] = "{$route}: once: {$once->getStatusCode()} ".mb_substr((string) $once->getContent(), 0, 200);

                continue;
            }
            $effect = $this->grown($before);

            $write = $this->asWrite(...$scene());
            $before = $this->rows();
            $answers = $hands->press(array_fill(0, self::HANDS, $write + ['key' => (string) Str::uuid(), 'person' => $this->lead()->id]));
            $same = count(array_unique(array_column($answers, 'sum'))) === 1 || in_array($route, self::SHOW_ONCE, true);
            if (array_unique(array_column($answers, 'status')) !== [200] || ! $same) {
                $wrong[] = "{$route}: one key: ".$this->said($answers);
            } elseif ($this->grown($before) !== $effect) {
                $wrong[] = "{$route}: one key, yet not one effect: ".json_encode([
                    'once' => $effect,
                    'eight times' => $this->grown($before),
                ]);
            }

            $write = $this->asWrite(...$scene());
            $answers = $hands->press(array_map(
                fn (int $i): array => $write + ['key' => (string) Str::uuid(), 'person' => $i < 4 ? $this->lead()->id : $crew[$i]->id],
                range(0, self::HANDS - 1),
            ));
            if (array_filter($answers, static fn (array $a): bool => $a['status'] >= 500 || $a['status'] === 0) !== []
                || array_filter($answers, static fn (array $a): bool => $a['status'] === 200) === []) {
                $wrong[] = "{$route}: different keys: ".$this->said($answers);
            }
        }
        self::assertSame([], $wrong, implode("\n", $wrong));
        self::assertSame(0, Artisan::call('odd-bench:audit'), Artisan::output());
    }

    public function test_one_person_takes_two_jobs_at_once_and_ends_with_one(): void
    {
        $scenes = (new Scenes(
            $this,
            fn (string $method, string $path, array $body): TestResponse => $this->sends($method, $path, $body),
        ))->all();
        $hands = new Hands(2, ['APP_ENV' => 'testing', 'DB_DATABASE' => 'odd_bench_race', 'SESSION_DRIVER' => 'array']);
        $person = $this->person(Role::Technician);
        for ($pair = 0; $pair < 10; $pair++) {
            $this->lead();
            $writes = [$this->asWrite(...$scenes['POST jobs/{job}/hands']()), $this->asWrite(...$scenes['POST jobs/{job}/hands']())];
            $answers = $hands->press(array_map(
                static fn (array $write): array => $write + ['key' => (string) Str::uuid(), 'person' => $person->id],
                $writes,
            ));
            self::assertSame([200, 200], array_column($answers, 'status'), $this->said($answers));
            self::assertSame(1, DB::table('work_spells')->where('person_id', $person->id)->whereNull('ended_at')->count());
        }
    }

    public function test_the_last_two_of_a_part_are_taken_twice_and_no_more(): void
    {
        $scenes = (new Scenes(
            $this,
            fn (string $method, string $path, array $body): TestResponse => $this->sends($method, $path, $body),
        ))->all();
        $hands = new Hands(self::HANDS, ['APP_ENV' => 'testing', 'DB_DATABASE' => 'odd_bench_race', 'SESSION_DRIVER' => 'array']);
        for ($round = 0; $round < 5; $round++) {
            $this->lead();
            $write = $this->asWrite(...$scenes['POST parts/{number}/movements']());
            $answers = $hands->press(array_map(
                fn (int $i): array => $write + ['key' => (string) Str::uuid(), 'person' => $this->lead()->id],
                range(1, self::HANDS),
            ));
            self::assertCount(1, array_filter($answers, static fn (array $a): bool => $a['status'] === 200), $this->said($answers));
            self::assertCount(
                self::HANDS - 1,
                array_filter($answers, static fn (array $a): bool => $a['status'] === 409),
                $this->said($answers),
            );
        }
    }

    protected function person(Role $role = Role::Technician): Person
    {
        return Person::query()->create([
            'login' => Str::lower(Str::random(12)),
            'name' => 'Racer',
            'role' => $role,
            'password' => 'a-long-secret',
        ]);
    }

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function sends(string $method, string $path, array $body): TestResponse
    {
        $write = $this->asWrite($method, $path, $body);

        return $this->call(
            $method,
            "/api/v1{$path}",
            [],
            [],
            [],
            ['CONTENT_TYPE' => $write['type'], 'HTTP_ACCEPT' => 'application/json', 'HTTP_IDEMPOTENCY_KEY' => (string) Str::uuid()],
            $write['body'],
        );
    }

    /**
     * @param  array<string, mixed>  $body
     * @return array{method: string, path: string, body: string, type: string}
     */
    private function asWrite(string $method, string $path, array $body): array
    {
        $raw = is_string($body['raw'] ?? null) ? $body['raw'] : null;

        return [
            'method' => $method,
            'path' => $path,
            'body' => $raw ?? ($body === [] ? '' : (string) json_encode($body)),
            'type' => $raw === null ? 'application/json' : (string) $body['type'],
        ];
    }

    /** @return list<string> the write routes of the API that keep something */
    private function routes(): array
    {
        $routes = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $method = array_diff($route->methods(), ['GET', 'HEAD', 'OPTIONS']);
            $uri = substr($route->uri(), 7);
            if (str_starts_with($route->uri(), 'api/v1/')
                && count($method) === 1
                && ! str_contains($uri, '{any}')
                && $uri !== 'session'
                && ! str_starts_with($uri, 'session/')
                && $uri !== 'shop'
                // it asks a printer, one at a time
                && $uri !== 'machines/{tag}/counters/printer'
                && ! str_starts_with($uri, 'instruments/')
                && ! str_starts_with($uri, 'computations/')
                && $uri !== 'complaints'
                // it counts and keeps nothing
                && $uri !== 'campaigns/who'
                && $uri !== 'plan/move-cost'
                && $uri !== 'plan/promise-offer'
                && $uri !== 'money/offers/look') {
                $routes[] = reset($method)." {$uri}";
            }
        }

        return $routes;
    }

    /** @return array<string, int> table => rows */
    private function rows(): array
    {
        static $tables = null;
        $tables ??= array_diff(
            array_column(DB::select("SELECT table_name AS name FROM information_schema.tables WHERE table_schema = 'public'"), 'name'),
            ['once_keys', 'cache', 'cache_locks', 'sessions', 'queued_jobs', 'work_spells'],
        );
        $rows = DB::selectOne('SELECT '.implode(
            ', ',
            array_map(static fn (string $t): string => "(SELECT count(*) FROM \"{$t}\") AS \"{$t}\"", $tables),
        ));

        return array_map(intval(...), (array) $rows);
    }

    /**
     * @param  array<string, int>  $before
     * @return array<string, int> table => rows more than before
     */
    private function grown(array $before): array
    {
        $grown = [];
        foreach ($this->rows() as $table => $rows) {
            $grown[$table] = $rows - $before[$table];
        }

        return array_filter($grown);
    }

    /** @param  list<array{status: int, body: string, sum: string}>  $answers */
    private function said(array $answers): string
    {
        $worst = array_reduce(
            $answers,
            static fn (?array $worst, array $a): array => $worst === null || $a['status'] > $worst['status'] ? $a : $worst,
        );

        return implode(' ', array_column($answers, 'status')).' '.mb_substr((string) ($worst['body'] ?? ''), 0, 300);
    }
}
