<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Diagnosis\Findings\JobFinding;
use App\Shop\Role;
use Illuminate\Testing\TestResponse;

/** Spools by weight and age, and what they tell Find. */
final class SpoolsTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->person(Role::Technician));
        $this->send(
            'POST',
            '/spools',
            ['material' => 'PETG', 'colour' => 'black', 'lot' => 'L-1', 'netG' => 1000, 'emptyG' => 230],
        )->assertOk();
    }

    public function test_what_is_left_is_weighed_with_the_spool(): void
    {
        $left = $this->event(['kind' => 'weighed', 'grams' => 730])->assertOk();
        self::assertSame(500, (int) $left->json('spools.0.leftG'));
        // 500 g over 1.27 g/cm³ over 2.4053 mm²
        self::assertEqualsWithDelta(163.7, $left->json('spools.0.leftM'), 0.1);
        $this->assertRefused($this->event(['kind' => 'weighed', 'grams' => 0.73]), 422, 'grams', 'in grams');
        $this->assertRefused($this->event(['kind' => 'weighed', 'grams' => 2400]), 422, 'grams', 'there were 1000 g');
        $this->assertRefused($this->event(['kind' => 'weighed']), 422, 'grams', 'How many grams?');
        $this->assertRefused($this->event(['kind' => 'dried']), 422, 'hours', 'how many hours');
        $this->event(['kind' => 'ended'])->assertOk();
        $this->assertRefused($this->event(['kind' => 'opened']), 409, 'spool', 'done with');
    }

    public function test_it_is_damp_a_month_after_it_was_opened_and_dry_again_when_it_was_dried(): void
    {
        $this->event(['kind' => 'opened'])->assertOk();
        $this->travel(29)->days();
        self::assertFalse($this->getJson('/api/v1/spools')->json('spools.0.damp'));
        $this->travel(3)->days();
        $spool = $this->getJson('/api/v1/spools')->json('spools.0');
        self::assertTrue($spool['damp']);
        self::assertStringContainsString('open for 32 days and never dried', implode(' ', $spool['because']));
        self::assertStringContainsString('65 °C', $spool['drying']);
        $this->event(['kind' => 'dried', 'hours' => 6, 'celsius' => 65])->assertOk();
        self::assertFalse($this->getJson('/api/v1/spools')->json('spools.0.damp'));
        $this->travel(3)->years();
        self::assertTrue($this->getJson('/api/v1/spools')->json('spools.0.old'));
    }

    public function test_a_damp_spool_is_a_circumstance_of_the_job_it_was_named_in(): void
    {
        $this->event(['kind' => 'opened'])->assertOk();
        $this->travel(60)->days();
        $job = $this->job();
        $this->safe($job);
        $this->send('POST', "/jobs/{$job->id}/station", ['to' => 'diagnosis', 'version' => $job->refresh()->version])->assertOk();
        $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['pops-steam' => true]])->assertOk();
        $before = $this->belief($job->id);
        $shown = $this->send('POST', "/jobs/{$job->id}/spool", ['spool' => 's1'])->assertOk();
        self::assertSame('S1, PETG black', $shown->json('spool'));
        $finding = JobFinding::query()->where(['job_id' => $job->id, 'code' => 'damp-storage'])->firstOrFail();
        self::assertStringContainsString('spool S1: open for 60 days', (string) $finding->value);
        self::assertGreaterThan($before, $this->belief($job->id), 'Find believes more in wet filament');
        self::assertSame('job', $this->getJson('/api/v1/spools')->json('spools.0.events.0.kind'));
        // naming it again says nothing twice
        $this->send('POST', "/jobs/{$job->id}/spool", ['spool' => 'S1'])->assertOk();
        self::assertSame(1, JobFinding::query()->where('code', 'damp-storage')->count());
        $this->assertRefused($this->send('POST', "/jobs/{$job->id}/spool", ['spool' => 'S99']), 404, 'spool', 'no spool “S99”');
    }

    private function belief(int $job): float
    {
        $wet = collect(
            (array) $this->getJson("/api/v1/jobs/{$job}/diagnosis?school=measure-first")->assertOk()->json('suspects'),
        )->firstWhere('fault', 'filament-wet');

        return is_array($wet) && is_numeric($wet['probability']) ? (float) $wet['probability'] : 0.0;
    }

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function event(array $body): TestResponse
    {
        return $this->send('POST', '/spools/S1/events', $body);
    }
}
