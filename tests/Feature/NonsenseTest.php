<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Arr;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Races\PlaysLead;
use Tests\Races\Scenes;
use Tests\Races\Shop;
use Tests\Sample;

/**
 * Every write at its moment, and every question, each of its fields filled with nonsense: refused in words, or taken; never broken,
 * and never refused without saying why.
 */
final class NonsenseTest extends BenchTestCase implements Shop
{
    use PlaysLead;

    private const NONSENSE = [null, '-1', 99_999_999_999_999_999, true, ['a' => ['b' => []]], "nul\0 byte"];

    protected function setUp(): void
    {
        parent::setUp();
        $this->lead();
        // a bin, without which nothing is counted
        $this->part();
    }

    /** @return list<mixed> two of them in each field, others in the next; all where everything is taken */
    private static function nonsense(): array
    {
        static $field = 0;
        if (Sample::part() === null) {
            return self::NONSENSE;
        }
        $at = $field++ + Sample::part();

        return [self::NONSENSE[$at % 6], self::NONSENSE[($at + 3) % 6]];
    }

    /** @return iterable<string, array{string}> the first word of the addresses of writes */
    public static function places(): iterable
    {
        foreach (self::description()['paths'] as $path => $methods) {
            foreach (array_diff(array_keys($methods), ['get', 'parameters']) as $method) {
                if (isset($methods[$method]['requestBody']['content']['application/json'])) {
                    $places[explode('/', $path)[1]] = true;
                }
            }
        }
        // no moment of a shop: who is here, and what works something out and keeps nothing
        foreach (array_diff(array_keys($places ?? []), ['session', 'shop', 'computations', 'instruments', 'complaints']) as $place) {
            yield $place => [$place];
        }
    }

    #[DataProvider('places')]
    public function test_a_write_with_nonsense_in_it_breaks_nothing(string $place): void
    {
        $send = fn (string $method, string $path, array $body): TestResponse => $this->sent($method, $path, $body);
        $scenes = (new Scenes($this, $send))->all();
        $wrong = $refused = [];
        $tried = $taken = 0;
        foreach ($scenes as $route => $scene) {
            if (preg_match("~^\\S+ {$place}(/|$)~", $route) !== 1) {
                continue;
            }
            DB::beginTransaction();
            $this->lead();
            [$method, $path, $body] = $scene();
            if (isset($body['raw'])) {
                DB::rollBack();

                continue;
            }
            DB::beginTransaction();
            $sane = $this->sent($method, $path, $body);
            $tried++;
            $taken += $sane->getStatusCode() < 300 ? 1 : 0;
            $refused[] = $sane->getStatusCode() < 300 ? null : "{$route}: {$sane->getContent()}";
            DB::rollBack();
            foreach ($this->fields($route, $body) as $field) {
                foreach (self::nonsense() as $value) {
                    $with = $body;
                    Arr::set($with, $field, $value);
                    DB::beginTransaction();
                    $answer = $this->sent($method, $path, $with);
                    DB::rollBack();
                    $wrong[] = $this->broke("{$route} {$field}", $value, $answer);
                }
            }
            DB::rollBack();
        }
        self::assertSame([], array_values(array_filter($wrong)));
        // where what has no nonsense in it is refused as well, the moment is wrong
        self::assertSame($tried, $taken, implode("\n", array_filter($refused)));
    }

    public function test_a_question_with_nonsense_in_it_breaks_nothing(): void
    {
        $machine = $this->machine(heldAs: 'owner');
        $at = [
            'job' => (string) $this->job($machine, $this->lead())->id, 'tag' => $machine->tag, 'number' => 'LIN-1',
            'owner' => (string) $machine->owner_id, 'family' => 'tern-220',
        ];
        $wrong = [];
        foreach (self::description()['paths'] as $path => $methods) {
            $query = array_column(array_filter(
                (array) ($methods['get']['parameters'] ?? []),
                static fn (array $p): bool => $p['in'] === 'query',
            ), 'name');
            $address = '/api/v1'.preg_replace_callback('/\{(\w+)\}/', static fn (array $m): string => $at[$m[1]] ?? '1', $path);
            foreach ($query as $field) {
                foreach (self::nonsense() as $value) {
                    DB::beginTransaction();
                    $answer = $this->getJson($address.'?'.http_build_query([$field => $value]));
                    DB::rollBack();
                    $wrong[] = $this->broke("GET {$path} {$field}", $value, $answer);
                }
            }
        }
        self::assertGreaterThan(Sample::part() === null ? 100 : 33, count($wrong));
        self::assertSame([], array_values(array_filter($wrong)));
    }

    /**
     * What stands in the body of a scene, and what could stand there besides.
     *
     * @param  array<string, mixed>  $body
     * @return list<string>
     */
    private function fields(string $route, array $body): array
    {
        [$method, $path] = explode(' ', $route, 2);
        $route = self::description()['paths']["/{$path}"][strtolower($method)] ?? [];
        $schema = $route['requestBody']['content']['application/json']['schema'] ?? [];
        if (isset($schema['$ref'])) {
            $schema = self::description()['components']['schemas'][basename($schema['$ref'])];
        }

        return array_values(array_unique([
            ...array_map(strval(...), array_keys(Arr::dot($body))),
            ...array_map(strval(...), array_keys($schema['properties'] ?? [])),
        ]));
    }

    /**
     * As the page sends it, also what is no JSON by the book.
     *
     * @param  array<string, mixed>  $body
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function sent(string $method, string $path, array $body): TestResponse
    {
        return $this->call($method, "/api/v1{$path}", [], [], [], [
            'CONTENT_TYPE' => is_string($body['type'] ?? null) && isset($body['raw']) ? $body['type'] : 'application/json',
            'HTTP_ACCEPT' => 'application/json',
            'HTTP_IDEMPOTENCY_KEY' => (string) Str::uuid(),
        ], is_string($body['raw'] ?? null) ? $body['raw'] : ($body === [] ? '' : (string) json_encode($body)));
    }

    /**
     * What came back that should not; null where nothing did.
     *
     * @param  TestResponse<\Illuminate\Http\Response>  $answer
     */
    private function broke(string $where, mixed $value, TestResponse $answer): ?string
    {
        $status = $answer->getStatusCode();
        if ($status < 400) {
            return null;
        }
        $errors = (array) $answer->json('errors');
        $words = $errors === [] ? [$answer->json('detail') ?? $answer->json('title')] : array_column($errors, 'message');
        $dumb = array_filter($words, static fn (mixed $w): bool => ! is_string($w) || mb_strlen($w) < 4 || str_contains($w, 'validation.'));
        $inWords = $dumb === [] && str_starts_with((string) $answer->headers->get('Content-Type'), 'application/problem+json');

        return $status < 500 && $inWords
            ? null
            : "{$where} = ".substr((string) json_encode($value), 0, 40).": {$status} ".substr((string) $answer->getContent(), 0, 160);
    }

    /** @return array<string, mixed> */
    private static function description(): array
    {
        static $read = null;

        return $read ??= (array) json_decode((string) file_get_contents(dirname(__DIR__, 2).'/docs/api/openapi.json'), true);
    }
}
