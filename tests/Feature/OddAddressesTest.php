<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;

/** Addresses nobody types on purpose get a clear answer, and two writes that differ in their query are two writes. */
final class OddAddressesTest extends BenchTestCase
{
    /** @return iterable<string, array{string, string}> method, address */
    public static function addresses(): iterable
    {
        yield 'a job of twenty digits' => ['GET', '/api/v1/jobs/99999999999999999999'];
        yield 'a job of eighteen digits' => ['GET', '/api/v1/jobs/999999999999999999'];
        yield 'a job in words' => ['GET', '/api/v1/jobs/first'];
        yield 'a sheet of a job of twenty digits' => ['GET', '/files/jobs/99999999999999999999/sheet.pdf'];
        yield 'an order of twenty digits' => ['POST', '/api/v1/orders/99999999999999999999/close'];
        yield 'a run of twenty digits' => ['GET', '/api/v1/jobs/1/runs/99999999999999999999/chart'];
        yield 'a file with both slashes' => ['GET', '/files/a/b%5Cc.svg'];
    }

    #[DataProvider('addresses')]
    public function test_an_odd_address_is_nothing_here(string $method, string $address): void
    {
        $this->actingAs($this->person());

        $answer = $this->call(
            $method,
            $address,
            [],
            [],
            [],
            ['HTTP_ACCEPT' => 'application/json', 'HTTP_IDEMPOTENCY_KEY' => (string) Str::uuid()],
        );
        self::assertContains(
            $answer->getStatusCode(),
            [404, 405],
            "{$address}: {$answer->getStatusCode()} ".substr((string) $answer->getContent(), 0, 200),
        );
    }

    public function test_a_file_keeps_its_name_and_not_the_way_to_it(): void
    {
        self::assertSame(
            ['c.svg', 'c.svg', 'c.svg'],
            array_map(\App\Stock\Made\MakePart::plainName(...), ['a/b\\c.svg', 'C:\\b\\c.svg', 'c.svg']),
        );
    }

    public function test_a_step_of_the_tray_that_cannot_be_is_nothing_here(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        foreach (['999999', '99999999999999999999'] as $step) {
            $answer = $this->call(
                'DELETE',
                "/api/v1/jobs/{$job->id}/teardown-steps/{$step}",
                [],
                [],
                [],
                ['HTTP_ACCEPT' => 'application/json', 'HTTP_IDEMPOTENCY_KEY' => (string) Str::uuid()],
            );
            self::assertContains($answer->getStatusCode(), [404, 409, 422], (string) $answer->getStatusCode());
        }
    }

    public function test_a_key_covers_the_query_too(): void
    {
        $this->actingAs($this->person());
        $key = (string) Str::uuid();
        $upload = fn (string $title): int => $this->call(
            'POST',
            '/api/v1/families/tern-220/papers?title='.$title,
            [],
            [],
            [],
            ['HTTP_ACCEPT' => 'application/json', 'HTTP_IDEMPOTENCY_KEY' => $key, 'CONTENT_TYPE' => 'application/pdf'],
            "%PDF-1.4\n1 0 obj<</Type/Catalog>>endobj\ntrailer<</Root 1 0 R>>\n%%EOF",
        )->getStatusCode();

        self::assertSame(200, $upload('Manual'));
        self::assertSame(200, $upload('Manual'), 'the same again gets the first answer');
        self::assertSame(422, $upload('Drawing'), 'another one under the same key is told so, and not taken for the first');
        self::assertSame(['Manual'], DB::table('papers')->pluck('title')->all());
    }
}
