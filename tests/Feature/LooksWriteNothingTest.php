<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Api\KeptConnection;
use App\Machines\Machine;
use App\Shop\Person;
use App\Shop\Role;
use App\Stock\Spools\AddSpool;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route as Routes;
use PDO;

/** Looking changes nothing: every GET is answered while the database takes no write, sessions and all. */
final class LooksWriteNothingTest extends BenchTestCase
{
    public function test_every_get_is_answered_by_a_database_that_takes_no_write(): void
    {
        config(['session.driver' => 'database', 'cache.default' => 'database']);
        $lead = $this->person(Role::Lead);
        $this->actingAs($lead);
        $values = $this->aShopWithSomethingInIt($lead);
        $cookies = [config('session.cookie') => $this->get('/')->getCookie((string) config('session.cookie'))?->getValue()];
        $seen = [];
        foreach ($this->gets() as $route) {
            $address = '/'.preg_replace_callback(
                '/\{(\w+)\??\}/',
                static fn (array $m): string => (string) ($values[$route->uri().' '.$m[1]] ?? $values[$m[1]] ?? '0'),
                $route->uri(),
            );
            $address .= $address === '/api/v1/scan' ? '?text='.$values['tag'] : '';
            $status = $this->readOnly(fn (): int => $this->withCookies($cookies)->get(
                $address,
                ['Accept' => 'application/json'],
            )->getStatusCode());
            self::assertContains($status, [200, 204, 304, 404], "GET {$address} gives {$status}");
            $seen[$route->uri()] = $status;
        }
        self::assertGreaterThan(
            30,
            count(array_keys($seen, 200, true)),
            'most of them have something to show: '.json_encode(array_keys($seen, 404, true)),
        );
        foreach ([
            'bench',
            'jobs/{job}',
            'jobs/{job}/diagnosis',
            'jobs/{job}/fix',
            'machines/{tag}',
            'parts/{number}',
            'orders',
            'session',
        ] as $shown) {
            self::assertSame(200, $seen["api/v1/{$shown}"], $shown);
        }
    }

    public function test_such_a_database_would_have_told(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        self::assertSame(
            500,
            $this->readOnly(fn (): int => $this->send('POST', "/jobs/{$job->id}/hands", ['on' => true])->getStatusCode()),
        );
    }

    public function test_a_kept_connection_is_clean_for_whoever_has_it_next(): void
    {
        $of = DB::connection()->getConfig();
        $pdo = new PDO(
            "pgsql:host={$of['host']};port={$of['port']};dbname={$of['database']}",
            $of['username'],
            $of['password'],
            [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION],
        );
        $ask = static fn (string $sql): mixed => ($pdo->query($sql) ?: throw new \RuntimeException($sql))->fetchColumn();
        $before = $ask('SHOW statement_timeout');
        $pdo->exec("SET statement_timeout = '77s'; CREATE TEMP TABLE left_over (n int); SELECT pg_advisory_lock(77)");
        $pdo->beginTransaction();
        $pdo->exec('SET TRANSACTION READ ONLY');

        KeptConnection::clean($pdo);

        self::assertFalse($pdo->inTransaction());
        self::assertSame($before, $ask('SHOW statement_timeout'));
        self::assertSame('off', $ask('SHOW transaction_read_only'));
        self::assertNull($ask("SELECT to_regclass('pg_temp.left_over')"));
        self::assertSame(0, (int) $ask('SELECT count(*) FROM pg_locks WHERE locktype = \'advisory\' AND pid = pg_backend_pid()'));
    }

    /** @return list<Route> */
    private function gets(): array
    {
        return array_values(array_filter(
            Routes::getRoutes()->getRoutes(),
            static fn (Route $r): bool => in_array('GET', $r->methods(), true) && ! str_contains($r->uri(), '{any'),
        ));
    }

    /**
     * @param  callable(): int  $do
     */
    private function readOnly(callable $do): int
    {
        DB::beginTransaction();
        DB::statement('SET TRANSACTION READ ONLY');
        try {
            return $do();
        } finally {
            while (DB::transactionLevel() > 1) {
                DB::rollBack();
            }
        }
    }

    /** @return array<string, string> what stands for the names in addresses */
    private function aShopWithSomethingInIt(Person $lead): array
    {
        $part = $this->part();
        $job = $this->job();
        $this->atFix($job);
        $spool = $this->app->make(AddSpool::class)->add('pla', 'grey', null, 1000, 220, 2200, null);
        $take = $this->send('POST', '/stocktakes', ['bins' => 'C'])->json('id');
        $machine = Machine::query()->findOrFail($job->machine_id);
        $paper = $this->call(
            'POST',
            '/api/v1/families/tern-220/papers?title=Manual',
            [],
            [],
            [],
            ['HTTP_ACCEPT' => 'application/json', 'HTTP_IDEMPOTENCY_KEY' => (string) \Illuminate\Support\Str::uuid()],
            '%PDF-1.4 end',
        )->json('papers.0.id');

        return [
            'class' => 'heat-break-fan',
            'job' => (string) $job->id,
            'tag' => $machine->tag,
            'number' => $part->number,
            'family' => 'tern-220',
            'code' => 'change-nozzle',
            'stocktake' => (string) $take,
            'bin' => 'C4',
            'paper' => (string) $paper,
            'name' => 'steps',
            'key' => $machine->page_key,
            'spool' => $spool->code,
            'kind' => 'parts',
            'photograph' => '999',
            'print' => 'first-layer',
        ];
    }
}
