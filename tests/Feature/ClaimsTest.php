<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Diagnosis\Findings\JobFinding;
use App\Intake\Job;
use App\Machines\Machine;
use App\Money\Claims\Claim;
use App\Shop\Role;
use Illuminate\Testing\TestResponse;

/** Claims that do not go cold. */
final class ClaimsTest extends BenchTestCase
{
    private Machine $machine;

    private Job $job;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->person(Role::Lead));
        $this->machine = $this->machine();
        $this->job = $this->job($this->machine);
    }

    public function test_a_claim_carries_its_proof_and_the_job_waits_for_it(): void
    {
        $this->atFind($this->job);
        $this->send('POST', "/jobs/{$this->job->id}/findings", ['findings' => ['jams-when-warm' => true]])->assertOk();
        $finding = JobFinding::query()->where('code', 'jams-when-warm')->firstOrFail();
        $claim = $this->claim(
            ['findings' => [$finding->id], 'video' => 'https://films.example/17', 'waits' => true],
        )->assertOk()->json('open.0');
        self::assertCount(1, $claim['proof']);
        self::assertSame(0.5, $claim['chance']);
        self::assertSame('claim', $this->job->refresh()->waits_for);
        $other = $this->job($this->machine());
        $this->send('POST', "/jobs/{$other->id}/safety-answers", ['answers' => []]);
        $this->assertRefused(
            $this->claim(['against' => 'Somebody else', 'findings' => [$finding->id + 1000]]),
            422,
            'findings.0',
            'not of this job',
        );
        $this->assertRefused($this->claim(), 409, 'against', 'open claim');
        $this->assertRefused($this->claim(['against' => 'X', 'worth' => '45 USD']), 422, 'worth', 'counts in EUR');
        $this->assertRefused($this->claim(['against' => 'X', 'deadline' => '2001-01-01']), 422, 'deadline', 'before today');
        $this->assertRefused($this->claim(['against' => 'X', 'video' => 'somewhere']), 422, 'video', 'https://');
        $this->assertRefused($this->claim(['against' => 'X', 'job' => $other->id]), 422, 'job', 'is not one of');
    }

    public function test_a_silent_counterpart_grows_cold_until_mending_is_better_and_says_so(): void
    {
        $this->claim(['waits' => true])->assertOk();
        $now = fn (): array => (array) $this->getJson('/api/v1/money/claims')->assertOk()->json('open.0');
        self::assertFalse($now()['mend']);
        $this->travel(14)->days();
        $this->actingAs($this->person(Role::Lead));
        $later = $now();
        self::assertSame(0.25, $later['chance']);
        // 0.25 × 45 = 11.25 against 14 × 3.60
        self::assertTrue($later['mend']);
        self::assertSame('Mend: waiting has cost 50.40, the claim is worth 11.25.', $later['advice']);
        // they answer: the chance is what it was
        $this->send(
            'POST',
            '/money/claims/'.$later['id'].'/words',
            ['saidBy' => 'they', 'text' => 'We look into it', 'nextOn' => now()->addDays(3)->toDateString()],
        )->assertOk();
        // and it stays so until the shop's day is over
        $this->travelTo(now()->setTime(23, 50));
        self::assertSame(0.5, $now()['chance']);
        $this->assertRefused(
            $this->send(
                'POST',
                '/money/claims/'.$later['id'].'/words',
                ['saidBy' => 'they', 'text' => 'x', 'saidOn' => now()->addDay()->toDateString()],
            ),
            422,
            'saidOn',
            'today or before',
        );
    }

    public function test_a_claim_is_closed_once_and_teaches_the_next(): void
    {
        $id = (int) $this->claim(['waits' => true])->json('open.0.id');
        $close = fn (array $body): TestResponse => $this->send('POST', "/money/claims/{$id}/end", $body);
        $this->assertRefused($close(['state' => 'won']), 422, 'got', 'What did it bring');
        $this->assertRefused($close(['state' => 'lost', 'got' => '5']), 422, 'got', 'brings nothing');
        $close(['state' => 'partly', 'got' => '20'])->assertOk()->assertJsonPath('closed.0.gotMinor', 2000);
        $this->assertRefused($close(['state' => 'lost']), 409, 'claim', 'was closed');
        $this->assertRefused(
            $this->send('POST', "/money/claims/{$id}/words", ['saidBy' => 'we', 'text' => 'x']),
            409,
            'claim',
            'was closed',
        );
        self::assertNull($this->job->refresh()->waits_for);
        self::assertSame(1, Claim::query()->count());
        $this->claim()->assertOk()->assertJsonPath('open.0.chance', round(2 / 3, 4));
    }

    public function test_every_computation_of_money_answers_by_the_api_too(): void
    {
        foreach (['bid-cap', 'charge', 'claim-value', 'cost-split', 'estimate', 'repair-value', 'storage-due'] as $name) {
            $answer = $this->send('POST', "/computations/{$name}", \OddBench\Computation\Examples::all()[$name])->assertOk();
            self::assertNotSame([], $answer->json(), $name);
        }
        $this->assertRefused(
            $this->send('POST', '/computations/charge', ['hands_minutes' => 1, 'rate_per_minute' => 90, 'tax_pct' => 101]),
            422,
            'tax_pct',
            'from 0 to 100',
        );
    }

    public function test_prices_and_terms_are_a_leads_to_set(): void
    {
        $terms = [
            'minute' => '1,20', 'minimum' => '25', 'storageDay' => '1', 'margin' => '40', 'selling' => '15', 'idleDay' => '6',
            'markupPct' => 35, 'taxPct' => 19, 'freeDays' => 30, 'residual' => false, 'partsClaims' => true,
        ];
        $this->send('PUT', '/money/terms', $terms)->assertOk()->assertJsonPath('minuteMinor', 120)->assertJsonPath('taxPct', 19);
        $this->assertRefused($this->send('PUT', '/money/terms', [...$terms, 'taxPct' => 101]), 422, 'taxPct', '0 to 100');
        $this->assertRefused($this->send('PUT', '/money/terms', [...$terms, 'minute' => '0']), 422, 'minute', 'more than nothing');
        $this->assertRefused($this->send('PUT', '/money/terms', [...$terms, 'minute' => '1,2,0']), 422, 'minute', 'more than one sign');
        $this->getJson('/api/v1/money/terms')->assertJsonPath('minuteMinor', 120);
        $this->actingAs($this->person(Role::Counter));
        $this->send('PUT', '/money/terms', $terms)->assertForbidden();
    }

    /**
     * @param  array<string, mixed>  $more
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function claim(array $more = []): TestResponse
    {
        return $this->send('POST', '/money/claims', [
            'tag' => $this->machine->tag, 'job' => $this->job->id, 'against' => 'Osk Venn', 'againstIs' => 'seller', 'claims' => 'part',
            'what' => 'The hot end leaked on arrival', 'worth' => '45,00', ...$more,
        ]);
    }
}
