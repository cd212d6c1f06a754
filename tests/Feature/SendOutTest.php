<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Diagnosis\Faults\Confirmed;
use App\Intake\Job;
use App\Machines\Machine;
use App\Release\Release;
use App\Shop\Person;
use App\Shop\Role;
use Illuminate\Support\Facades\Auth;
use Illuminate\Testing\TestResponse;
use OddBench\Release\Grade;

/** What a machine leaves with, what its owner may see of it, and what comes back. */
final class SendOutTest extends BenchTestCase
{
    private Person $bo;

    protected function setUp(): void
    {
        parent::setUp();
        $this->bo = $this->person();
        $this->actingAs($this->bo);
    }

    public function test_an_owner_gets_a_report_behind_the_code_and_sees_nothing_of_the_shops_own(): void
    {
        $this->part();
        $machine = $this->machine(heldAs: 'owner');
        $job = $this->job($machine);
        $job->update(['complaint' => 'It clicks <script>alert(1)</script>']);
        $this->ready($job, withPart: true);
        $this->sendOut($job, 'owner', ['note' => 'Keep it under 240 °C', 'warrantyDays' => 90, 'warrantyHours' => 500])
            ->assertOk()
            ->assertJsonPath('sheet', true);

        $page = $this->asOwner($machine)->assertOk();
        foreach ([
            'Repair report',
            'Liner cooked',
            'Done as the guide says',
            'Liner 4/2 mm',
            'Tug heater and sensor leads',
            'Keep it under 240',
            'Warranty of the repair',
            "1\u{A0}700",
            '&lt;script&gt;',
        ] as $seen) {
            self::assertStringContainsString($seen, (string) $page->getContent());
        }
        foreach ([$this->bo->name, 'Ines Halloran', 'EUR', 'LIN-1', '<script>', 'diagnosis'] as $unseen) {
            self::assertStringNotContainsString($unseen, (string) $page->getContent());
        }
        self::assertStringContainsString('noindex', (string) $page->headers->get('X-Robots-Tag'));
        $pdf = $this->get("/o/{$machine->refresh()->page_key}/sheet.pdf")->assertOk();
        self::assertStringStartsWith('%PDF-', (string) $pdf->getContent());
        $this->get("/files/jobs/{$job->id}/sheet.pdf")->assertRedirect();
        $this->get('/o/'.str_repeat('0', 20))->assertNotFound();
        $this->get("/o/{$machine->id}")->assertNotFound();
    }

    public function test_while_it_is_on_the_bench_its_owner_sees_where_it_stands_in_plain_words(): void
    {
        $machine = $this->machine(heldAs: 'owner');
        $job = $this->job($machine);
        $this->atFix($job);
        self::assertStringContainsString('is being mended', (string) $this->asOwner($machine)->getContent());
        $job->refresh()->update(['waits_for' => 'part', 'waits_note' => 'from a dear supplier']);
        $page = (string) $this->asOwner($machine)->getContent();

        self::assertStringContainsString('A part is on its way', $page);
        self::assertStringNotContainsString('dear supplier', $page);
        self::assertStringNotContainsString('Liner cooked', $page);
        $this->get("/o/{$machine->page_key}/sheet.pdf")->assertNotFound();
    }

    public function test_a_machine_for_sale_is_graded_and_its_former_owner_shut_out(): void
    {
        $machine = $this->machine(heldAs: 'resale');
        $job = $this->job($machine, hours: 900.0);
        $this->ready($job);
        $before = $machine->page_key;
        $way = collect((array) $this->getJson("/api/v1/jobs/{$job->id}")->json('waysOut'))->firstWhere('to', 'sale');
        // 900 h: half the wheels' 1,800, and the liner's 900 are just up; the nozzle is past its 600
        self::assertSame('used', $way['grade']);
        self::assertStringContainsString("Nozzle (900 of 600\u{A0}h)", implode(' ', $way['gradeBecause']));

        $this->assertRefused(
            $this->sendOut($job, 'sale', ['grade' => 'fresh', 'gradeBecause' => 'it shines']),
            422,
            'grade',
            'never higher',
        );
        $this->assertRefused($this->sendOut($job, 'sale', ['grade' => 'worn']), 422, 'gradeBecause', 'its buyer reads it');
        self::assertNull($job->refresh()->finished_at, 'nothing is half done');
        $this->sendOut(
            $job,
            'sale',
            ['grade' => 'worn', 'gradeBecause' => 'frame was dropped', 'shortcomings' => 'cover cracked', 'priceMinor' => 12_000],
        )->assertOk();

        $release = Release::query()->where('job_id', $job->id)->firstOrFail();
        self::assertSame(Grade::Worn->value, $release->grade);
        $this->get("/o/{$before}")->assertNotFound();
        $page = (string) $this->asOwner($machine->refresh())->assertOk()->getContent();
        foreach ([
            'Condition sheet',
            'frame was dropped',
            'Known: cover cracked',
            'Wearing parts',
            'X carriage wheels',
            "1\u{A0}800 h",
        ] as $seen) {
            self::assertStringContainsString($seen, $page);
        }
        self::assertStringNotContainsString('It clicks', $page, 'what a former owner said is not the buyer’s');
        self::assertStringNotContainsString('120.00', $page);
        $this->actingAs($this->bo);
        $hits = $this->getJson('/api/v1/scan?text='.urlencode("http://elsewhere/o/{$machine->page_key}"))->assertOk();
        self::assertTrue($hits->json('hits.0.exact'));
        self::assertStringContainsString(
            'out of date',
            (string) $this->getJson('/api/v1/scan?text='.urlencode("http://elsewhere/o/{$before}"))->json('problem'),
        );
    }

    public function test_a_tagged_machine_goes_back_with_its_danger_in_writing(): void
    {
        $machine = $this->machine(heldAs: 'owner');
        $job = $this->job($machine);
        $this->send('POST', "/jobs/{$job->id}/red-tag", ['reason' => 'Plug brown, smelled of burning'])->assertOk();
        $this->actingAs($this->person(Role::Lead));
        $this->sendOut($job, 'unmended', ['danger' => 'The mains plug chars. It can burn.'])->assertOk();

        $page = (string) $this->asOwner($machine)->getContent();
        self::assertStringContainsString('Do not switch it on', $page);
        self::assertStringContainsString('It can burn', $page);
    }

    public function test_the_sheet_stays_as_it_was_signed(): void
    {
        $machine = $this->machine(heldAs: 'owner');
        $job = $this->job($machine);
        $draft = $this->get("/files/jobs/{$job->id}/sheet.pdf")->assertOk();
        self::assertStringStartsWith('%PDF-', (string) $draft->getContent());
        $this->ready($job);
        $this->sendOut($job, 'owner')->assertOk();
        $job->refresh()->update(['complaint' => 'something else']);

        self::assertStringContainsString('It clicks', (string) $this->asOwner($machine)->getContent());
        $this->actingAs($this->bo);
        $donor = $this->job($this->machine());
        $this->sendOut($donor, 'donor')->assertOk()->assertJsonPath('sheet', false);
        $this->get("/files/jobs/{$donor->id}/sheet.pdf")->assertNotFound();
    }

    public function test_the_same_fault_within_days_and_hours_is_a_comeback_and_counted(): void
    {
        $machine = $this->machine(heldAs: 'owner');
        $first = $this->job($machine, hours: 1000.0);
        $this->ready($first);
        $this->sendOut($first, 'owner', ['warrantyDays' => 90, 'warrantyHours' => 500])->assertOk();
        self::assertNotNull($this->getJson("/api/v1/machines/{$machine->tag}")->json('jobs.0.warrantyUntil'));

        $this->travel(60)->days();
        $second = $this->job($machine, hours: 1400.0);
        $this->atFix($second);
        self::assertSame($first->id, Confirmed::query()->where('job_id', $second->id)->firstOrFail()->comeback_of);
        self::assertSame($first->id, $this->getJson("/api/v1/jobs/{$second->id}")->json('diagnoses.0.comebackOf'));
        $passport = $this->getJson("/api/v1/machines/{$machine->tag}");
        self::assertSame(1, $passport->json('comebacks'));
        self::assertTrue($passport->json('jobs.0.comeback'));
        self::assertFalse($passport->json('jobs.1.comeback'));
        $this->artisan('odd-bench:rates');
    }

    public function test_after_its_days_or_its_hours_or_with_another_fault_it_is_none(): void
    {
        foreach ([
            ['days' => 91, 'hours' => 1100.0, 'fault' => 'tube-cooked'],
            ['days' => 30, 'hours' => 1501.0, 'fault' => 'tube-cooked'],
            ['days' => 30, 'hours' => 1100.0, 'fault' => 'gear-worn'],
        ] as $later) {
            $machine = $this->machine(heldAs: 'owner');
            $first = $this->job($machine, hours: 1000.0);
            $this->ready($first);
            $this->sendOut($first, 'owner', ['warrantyDays' => 90, 'warrantyHours' => 500])->assertOk();
            $this->travel($later['days'])->days();
            $second = $this->job($machine, hours: $later['hours']);
            $this->atFix($second, $later['fault']);
            self::assertNull(Confirmed::query()->where('job_id', $second->id)->firstOrFail()->comeback_of);
            $this->travelBack();
        }
    }

    public function test_terms_that_cannot_be_are_refused_at_their_field(): void
    {
        $job = $this->job($this->machine(heldAs: 'owner'));
        $this->ready($job);
        $this->assertRefused($this->sendOut($job, 'owner', ['warrantyDays' => -3]), 422, 'warrantyDays', '0 to 1825');
        $this->assertRefused($this->sendOut($job, 'owner', ['warrantyDays' => 3, 'warrantyHours' => 0]), 422, 'warrantyHours', '20,000');
        $this->sendOut($job, 'owner', ['grade' => 'shiny'])->assertStatus(422);
        $this->actingAs($this->person(Role::ReadOnly));
        $this->sendOut($job, 'owner')->assertForbidden();
    }

    private function ready(Job $job, bool $withPart = false): void
    {
        $this->atFix($job);
        if ($withPart) {
            $this->send('POST', "/jobs/{$job->id}/parts", ['part' => 'LIN-1', 'quantity' => 1, 'position' => 'liner'])->assertOk();
        }
        $this->send('POST', "/jobs/{$job->id}/mends", ['fault' => 'tube-cooked', 'done' => 'Done as the guide says'])->assertOk();
        $this->send('POST', "/jobs/{$job->id}/station", ['to' => 'proof', 'version' => $job->refresh()->version])->assertOk();
        $this->proveAll($job);
        $this->send('POST', "/jobs/{$job->id}/station", ['to' => 'release', 'version' => $job->refresh()->version])->assertOk();
    }

    /**
     * @param  array<string, mixed>  $terms
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function sendOut(Job $job, string $to, array $terms = []): TestResponse
    {
        return $this->send('POST', "/jobs/{$job->id}/release", ['to' => $to, 'version' => $job->refresh()->version, ...$terms]);
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function asOwner(Machine $machine): TestResponse
    {
        Auth::forgetGuards();

        return $this->get("/o/{$machine->page_key}");
    }
}
