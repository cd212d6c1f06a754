<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Job;
use App\Machines\Machine;
use App\Shop\Person;
use App\Shop\Role;
use App\Stock\Shelf\Movement;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;

final class BadInputTest extends BenchTestCase
{
    private const NEW = ['kind' => 'repair', 'family' => 'tern-220', 'heldAs' => 'farm', 'complaint' => 'It clicks', 'began' => 'crept-in'];

    public function test_an_unknown_tag(): void
    {
        $this->actingAs($this->person());
        $known = $this->machine();

        $this->assertRefused($this->send('POST', '/jobs', ['tag' => 'HR-222-T'] + self::NEW), 422, 'tag', 'check letter');
        $this->assertRefused($this->send('POST', '/jobs', ['tag' => 'nonsense'] + self::NEW), 422, 'tag', 'two letters, three digits');
        $unknown = \OddBench\Machines\Tag::nth('TR', 77)->text();
        $this->assertRefused($this->send('POST', '/jobs', ['tag' => $unknown] + self::NEW), 404, 'tag', 'No machine here');
        self::assertSame('service', $known->refresh()->place);
    }

    public function test_a_serial_that_is_known_already_names_its_machine_and_uses_up_no_tag(): void
    {
        $this->actingAs($this->person());
        $first = $this->send('POST', '/jobs', ['serial' => 'A7'] + self::NEW)->assertOk();
        $this->assertRefused(
            $this->send('POST', '/jobs', ['serial' => 'A7'] + self::NEW),
            422,
            'serial',
            (string) $first->json('machine.tag'),
        );

        $next = $this->send('POST', '/jobs', ['serial' => 'A8'] + self::NEW)->assertOk();
        self::assertSame(\OddBench\Machines\Tag::nth('TR', 1)->text(), $next->json('machine.tag'));
    }

    public function test_hours_running_backwards(): void
    {
        $this->actingAs($this->person());
        $machine = $this->machine();
        $this->send('POST', "/machines/{$machine->tag}/counters", ['hours' => 900])->assertOk();

        $this->assertRefused(
            $this->send('POST', '/jobs', ['tag' => $machine->tag, 'hours' => 899.9] + self::NEW),
            422,
            'hours',
            'began anew',
        );
        self::assertSame(0, Job::query()->count());
        self::assertSame('service', $machine->refresh()->place, 'nothing is half done');
    }

    public function test_a_negative_price(): void
    {
        $this->actingAs($this->person());

        $this->assertRefused(
            $this->send('POST', '/jobs', ['heldAs' => 'resale', 'pricePaidMinor' => -1] + self::NEW),
            422,
            'pricePaidMinor',
            'below zero',
        );
        $this->assertRefused(
            $this->send(
                'POST',
                '/parts/'.$this->part()->number.'/movements',
                ['kind' => 'received', 'quantity' => 1, 'unitCostMinor' => -5],
            ),
            422,
            'unitCostMinor',
            'below zero',
        );
        self::assertSame(0, Machine::query()->count());
    }

    public function test_a_part_that_is_not_on_the_shelf(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->atFix($job);
        $this->part(1);

        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/parts", ['part' => 'NO-SUCH', 'quantity' => 1]),
            404,
            'part',
            'no part “NO-SUCH”',
        );
        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/parts", ['part' => 'LIN-1', 'quantity' => 2]),
            409,
            'quantity',
            'Only 1',
        );
        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/parts", ['part' => 'LIN-1', 'quantity' => 1, 'position' => 'wing']),
            422,
            'position',
            'no position',
        );
        self::assertSame(0, Movement::query()->where('kind', 'used')->count());
        self::assertSame(1, $this->part(0, number: 'LIN-2')->newQuery()->where('number', 'LIN-1')->value('on_hand'));
    }

    public function test_the_database_itself_forbids_stock_below_zero(): void
    {
        $part = $this->part(1);

        $this->expectException(\Illuminate\Database\QueryException::class);
        DB::table('parts')->where('id', $part->id)->update(['on_hand' => -1]);
    }

    public function test_releasing_with_anything_owed_says_all_of_it_in_words(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->atProve($job);

        $refused = $this->send('POST', "/jobs/{$job->id}/release", ['to' => 'service', 'version' => $job->refresh()->version]);
        $this->assertRefused($refused, 409, 'to', 'Still owed: Hot end heats and holds.');
        self::assertGreaterThan(5, count((array) $refused->json('errors')));
        self::assertNull($job->refresh()->finished_at);
    }

    public function test_two_people_editing_one_job(): void
    {
        $bo = $this->person();
        $this->actingAs($bo);
        $job = $this->job();
        $seen = $job->refresh()->version;
        $this->safe($job);

        $this->actingAs($this->person());
        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/station", ['to' => 'diagnosis', 'version' => $seen]),
            409,
            'version',
            $bo->name,
        );
        $this->assertRefused(
            $this->send('PATCH', "/jobs/{$job->id}", ['complaint' => 'mine', 'version' => $seen]),
            409,
            'version',
            'safety questions answered',
        );
        self::assertSame('It clicks', $job->refresh()->complaint);
    }

    public function test_the_same_form_sent_twice_changes_nothing_twice(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->atFix($job);
        $this->part(5);
        $key = (string) Str::uuid();
        $body = ['part' => 'LIN-1', 'quantity' => 2];

        $first = $this->send('POST', "/jobs/{$job->id}/parts", $body, $key)->assertOk();
        $second = $this->send('POST', "/jobs/{$job->id}/parts", $body, $key)->assertOk();

        self::assertSame($first->json('version'), $second->json('version'));
        self::assertSame(3, $this->getJson('/api/v1/parts/LIN-1')->json('part.onHand'));
        $this->send('POST', "/jobs/{$job->id}/parts", ['part' => 'LIN-1', 'quantity' => 1], $key)->assertStatus(422);
        $this->postJson("/api/v1/jobs/{$job->id}/parts", $body)->assertStatus(400)->assertSee('Idempotency-Key');
    }

    public function test_a_refused_write_leaves_its_key_free_for_the_corrected_retry(): void
    {
        $this->actingAs($this->person());
        $key = (string) Str::uuid();

        $this->send('POST', '/jobs', ['complaint' => ''] + self::NEW, $key)->assertStatus(422);
        $this->send('POST', '/jobs', self::NEW, $key)->assertOk();
    }

    public function test_a_machine_is_on_the_bench_once(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();

        $this->assertRefused($this->send('POST', '/jobs', ['tag' => $job->machine->tag] + self::NEW), 409, 'tag', "job {$job->id}");
    }

    public function test_a_request_without_login(): void
    {
        $job = $this->job();

        foreach (['/bench', '/knowledge', '/machines', '/parts', "/jobs/{$job->id}", '/scan?text=TR'] as $path) {
            $this->getJson("/api/v1{$path}")->assertStatus(401)->assertHeader('Content-Type', 'application/problem+json');
        }
        $this->send('POST', '/jobs', self::NEW)->assertStatus(401);
        $this->get('/api/v1/bench')->assertStatus(401);
    }

    /** @return iterable<string, array{Role, string, string, array<string, mixed>}> */
    public static function forbidden(): iterable
    {
        yield 'read-only books in' => [Role::ReadOnly, 'POST', '/jobs', self::NEW];
        yield 'read-only moves stock' => [Role::ReadOnly, 'POST', '/parts/LIN-1/movements', ['kind' => 'counted', 'quantity' => 9]];
        yield 'read-only adds a part' => [
            Role::ReadOnly,
            'POST',
            '/parts',
            ['number' => 'N', 'name' => 'n', 'class' => 'belt', 'bin' => 'A1'],
        ];
        yield 'counter answers safety' => [Role::Counter, 'POST', '/jobs/{job}/safety-answers', ['answers' => ['smoke' => false]]];
        yield 'counter adds a finding' => [Role::Counter, 'POST', '/jobs/{job}/findings', ['findings' => ['strings' => true]]];
        yield 'counter confirms' => [Role::Counter, 'POST', '/jobs/{job}/faults', ['faults' => ['belt-slack'], 'version' => 1]];
        yield 'counter notes a mend' => [Role::Counter, 'POST', '/jobs/{job}/mends', ['done' => 'x', 'touched' => ['bed']]];
        yield 'counter proves' => [Role::Counter, 'POST', '/jobs/{job}/proofs', ['proof' => 'home', 'passed' => true]];
        yield 'technician countersigns' => [Role::Technician, 'POST', '/jobs/{job}/red-tag/countersignature', []];
        yield 'read-only sends out' => [Role::ReadOnly, 'POST', '/jobs/{job}/release', ['to' => 'service', 'version' => 1]];
        yield 'read-only edits' => [Role::ReadOnly, 'PATCH', '/jobs/{job}', ['complaint' => 'x', 'version' => 1]];
    }

    /** @param  array<string, mixed>  $body */
    #[DataProvider('forbidden')]
    public function test_a_request_without_the_right(Role $role, string $method, string $path, array $body): void
    {
        $this->part();
        $job = $this->job();
        $this->actingAs($this->person($role));

        $this->send($method, str_replace('{job}', (string) $job->id, $path), $body)
            ->assertForbidden()
            ->assertHeader('Content-Type', 'application/problem+json');
        self::assertSame(1, $job->refresh()->version);
        self::assertSame(1, Job::query()->count());
    }

    public function test_oversized_and_non_json_bodies(): void
    {
        $this->actingAs($this->person());
        $raw = fn (string $body, string $type = 'application/json') => $this->call(
            'POST',
            '/api/v1/jobs',
            [],
            [],
            [],
            ['CONTENT_TYPE' => $type, 'HTTP_ACCEPT' => 'application/json', 'HTTP_IDEMPOTENCY_KEY' => (string) Str::uuid()],
            $body,
        );

        $raw('{"complaint":"'.str_repeat('x', 300_000).'"}')->assertStatus(413)->assertSee('256 kB');
        $raw('kind=repair', 'application/x-www-form-urlencoded')->assertStatus(415);
        $raw('{"kind": ')->assertStatus(400)->assertSee('not a JSON object');
        $raw('[1,2]')->assertStatus(400);
        $raw(str_repeat('{"a":', 60).'1'.str_repeat('}', 60))->assertStatus(400);
        self::assertSame(0, Job::query()->count());
    }

    public function test_script_text_in_every_text_field_stays_text(): void
    {
        $script = '<script>alert(1)</script>"><img src=x onerror=alert(2)>';
        $this->actingAs($this->person());
        $booked = $this->send(
            'POST',
            '/jobs',
            [
                'serial' => $script,
                'heldAs' => 'owner',
                'ownerName' => $script,
                'ownerContact' => $script,
                'complaint' => $script,
                'screenSaid' => $script,
                'cameAlong' => $script,
            ] + self::NEW,
        )->assertOk();
        $job = Job::query()->findOrFail($booked->json('id'));
        $this->atFix($job);
        $this->send('POST', "/jobs/{$job->id}/mends", ['fault' => 'tube-cooked', 'done' => $script])
            ->assertOk()
            ->assertJsonPath('mends.0.done', $script);
        $this->send('PATCH', "/jobs/{$job->id}", ['waitsFor' => 'person', 'waitsNote' => $script, 'version' => $job->refresh()->version])
            ->assertOk()
            ->assertJsonPath('waitsNote', $script);

        $page = $this->getJson("/api/v1/machines/{$booked->json('machine.tag')}")->assertOk();
        self::assertSame($script, $page->json('machine.owner'));
        self::assertStringStartsWith('application/json', (string) $page->headers->get('Content-Type'));
        self::assertStringNotContainsString('<script>', (string) $this->get('/')->getContent());
    }

    public function test_unknown_codes_name_the_nearest(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->safe($job);
        $this->send('POST', "/jobs/{$job->id}/station", ['to' => 'diagnosis', 'version' => $job->refresh()->version])->assertOk();

        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['gear-click' => true]]),
            422,
            'findings.gear-click',
            'gear-clicks',
        );
        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/faults", ['faults' => ['belt-slak'], 'version' => $job->refresh()->version]),
            422,
            'faults.0',
            'belt-slack',
        );
        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/faults", ['faults' => ['rod-rutted'], 'version' => $job->refresh()->version]),
            422,
            'faults.0',
            'cannot be on this machine',
        );
        $this->assertRefused($this->send('POST', '/jobs', ['family' => 'tern-22'] + self::NEW), 422, 'family', 'tern-220');
    }

    public function test_a_finding_with_the_opposite_answer_must_be_withdrawn_first(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['strings' => true]])->assertOk();

        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['strings' => false]]),
            409,
            'findings.strings',
            'Withdraw',
        );
    }

    public function test_login_attempts_are_throttled_and_say_so(): void
    {
        Person::query()->create(['login' => 'bo', 'name' => 'Bo', 'role' => Role::Technician, 'password' => 'right-one']);
        for ($i = 0; $i < 6; $i++) {
            $this->assertRefused(
                $this->postJson('/api/v1/session', ['login' => 'bo', 'password' => "wrong{$i}"]),
                422,
                'login',
                'do not belong together',
            );
        }
        $this->postJson('/api/v1/session', ['login' => 'bo', 'password' => 'right-one'])->assertStatus(429)->assertSee('Too many tries');
        $this->travel(61)->seconds();
        $this->postJson('/api/v1/session', ['login' => 'BO ', 'password' => 'right-one'])->assertOk()->assertJsonPath('person.name', 'Bo');
    }

    public function test_somebody_who_left_cannot_log_in(): void
    {
        Person::query()->create([
            'login' => 'bo',
            'name' => 'Bo',
            'role' => Role::Technician,
            'password' => 'right-one',
            'left_at' => now(),
        ]);

        $this->postJson('/api/v1/session', ['login' => 'bo', 'password' => 'right-one'])->assertStatus(422);
    }

    public function test_an_address_that_does_not_exist_is_a_problem_too(): void
    {
        $this->getJson('/api/v1/nowhere')->assertNotFound()->assertHeader('Content-Type', 'application/problem+json');
        $this->actingAs($this->person());
        $this->getJson('/api/v1/jobs/999999')->assertNotFound()->assertHeader('Content-Type', 'application/problem+json');
    }

    public function test_a_question_asked_wrongly_is_refused_by_its_field(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();

        $this->assertRefused($this->send('GET', "/jobs/{$job->id}/diagnosis?school=guess"), 422, 'school', 'school');
        $this->assertRefused($this->send('GET', "/machines/{$job->machine->tag}?olderThan=soon"), 422, 'olderThan', 'older than');
        $this->assertRefused($this->send('GET', '/scan'), 422, 'text', 'text');
        $this->assertRefused($this->send('GET', '/machines?place=moon'), 422, 'place', 'place');
        $this->send('GET', "/jobs/{$job->id}/diagnosis?school=swap-first")->assertOk();
    }
}
