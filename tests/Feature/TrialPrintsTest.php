<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Job;
use App\Intake\Photograph;
use App\Safety\PutOnRedTag;
use App\Shop\Role;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

final class TrialPrintsTest extends BenchTestCase
{
    public function test_trials_are_judged_as_they_come_and_the_conclusion_becomes_a_finding(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->add($job, ['speed' => '60', 'retraction' => '5'], 2)->assertOk()->assertJsonPath('verdict', 'watch');
        $this->assertRefused($this->send('POST', "/jobs/{$job->id}/trials/conclusion", ['x' => 1]), 409, 'trials', 'change one setting');
        $this->add($job, ['speed' => '60', 'retraction' => '6,5'], 2)
            ->assertJsonPath('trials.1.changed', ['retraction'])
            ->assertJsonPath('trials.1.settings.retraction', 6.5);
        $this->add($job, ['speed' => '40', 'retraction' => '6.5'], 5)->assertJsonPath('matters', null)->assertJsonPath('verdict', 'watch');
        $this->assertRefused($this->send('POST', "/jobs/{$job->id}/trials/conclusion", ['x' => 2]), 409, 'trials', 'print both again');
        $this->add($job, ['speed' => '60', 'retraction' => '6.5'], 2);
        $this->add($job, ['speed' => '40', 'retraction' => '6.5'], 5)
            ->assertJsonPath('matters', 'speed')
            ->assertJsonPath('verdict', 'ok')
            ->assertJsonPath('concluded', null);

        $this->send('POST', "/jobs/{$job->id}/trials/conclusion")->assertOk();

        $finding = collect((array) $this->getJson("/api/v1/jobs/{$job->id}")->json('findings'))->firstWhere('code', 'setting-cures-it');
        self::assertTrue($finding['present']);
        self::assertSame('speed', $finding['value']);
        $this->getJson("/api/v1/jobs/{$job->id}/trials")->assertJsonPath('concluded', true);
        $suspects = array_column((array) $this->getJson("/api/v1/jobs/{$job->id}/diagnosis")->json('suspects'), 'probability', 'fault');
        self::assertGreaterThan(0.4, $suspects['wrong-settings']);
    }

    public function test_trials_without_a_difference_speak_against_the_settings(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        foreach (['60', '50', '40'] as $speed) {
            $this->add($job, ['speed' => $speed], 2);
        }
        $this->send('POST', "/jobs/{$job->id}/trials/conclusion")->assertOk();

        self::assertFalse(
            collect((array) $this->getJson("/api/v1/jobs/{$job->id}")->json('findings'))->firstWhere('code', 'setting-cures-it')['present'],
        );
    }

    public function test_two_changes_at_once_are_warned_of(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->add($job, ['speed' => '60', 'fan' => 'off'], 2);

        $this->add($job, ['speed' => '40', 'fan' => 'on'], 4)->assertJsonPath(
            'trials.1.warning',
            'Speed and fan changed at once: whatever happened, it is not known which did it.',
        );
    }

    public function test_a_wrong_trial_is_withdrawn_and_its_number_is_not_given_again(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->add($job, ['speed' => '60'], 2);
        $this->add($job, ['speed' => '4'], 4);
        $this->send('DELETE', "/jobs/{$job->id}/trials/2")->assertOk()->assertJsonCount(1, 'trials');
        $this->assertRefused($this->send('DELETE', "/jobs/{$job->id}/trials/2"), 409, 'trial', 'no trial 2');

        $this->add($job, ['speed' => '40'], 4)->assertJsonPath('trials.1.number', 3);
    }

    public function test_bad_trials_are_refused_by_their_field(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();

        $this->assertRefused($this->add($job, [], 2), 422, 'settings', 'What was set');
        $this->assertRefused($this->add($job, ['speed' => '60'], 6), 422, 'rating', 'from 1 (bad) to 5');
        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/trials", ['settings' => ['60'], 'rating' => 3]),
            422,
            'settings',
            'names and values',
        );
        $this->assertRefused($this->add($job, ['speed' => '60'], 3, ['bandFromMm' => 10, 'bandToMm' => 5]), 422, 'bandToMm', 'end above');
        $this->assertRefused($this->add($job, ['speed' => '60'], 3, ['photograph' => 99]), 422, 'photograph', 'not one of this job');
        $this->actingAs($this->person(Role::ReadOnly));
        $this->add($job, ['speed' => '60'], 3)->assertStatus(403);
    }

    public function test_under_a_red_tag_nothing_is_printed(): void
    {
        $by = $this->person();
        $this->actingAs($by);
        $job = $this->job();
        $this->app->make(PutOnRedTag::class)->byHand($job, 'smoke', $by);

        $this->assertRefused($this->add($job, ['speed' => '60'], 3), 409, 'check', 'red tag');
    }

    public function test_the_table_goes_out_as_csv_without_formulas(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->add($job, ['speed' => '60', 'seam' => '=1+1'], 2, ['note' => 'a "rough", one']);
        $csv = $this->get("/files/jobs/{$job->id}/trials.csv")->assertOk();

        self::assertStringStartsWith('text/csv', (string) $csv->headers->get('Content-Type'));
        $rows = array_map(
            static fn (string $line): array => str_getcsv($line, ',', '"', ''),
            explode("\r\n", trim((string) $csv->getContent())),
        );
        self::assertSame(['trial', 'speed', 'seam', 'rating'], array_slice($rows[0], 0, 4));
        self::assertSame(['1', '60', "'=1+1", '2'], array_slice($rows[1], 0, 4));
        self::assertContains('a "rough", one', $rows[1]);
    }

    public function test_a_photograph_is_drawn_anew_and_shown_to_those_logged_in(): void
    {
        Storage::fake();
        $this->actingAs($this->person());
        $job = $this->job();
        $photo = $this->photograph($job, $this->png(2000, 1000))->assertOk();
        self::assertSame([1600, 800], [$photo->json('width'), $photo->json('height')]);
        $this->add(
            $job,
            ['speed' => '60'],
            2,
            ['photograph' => $photo->json('id')],
        )->assertJsonPath('trials.0.photograph.url', $photo->json('url'));

        $shown = $this->get((string) $photo->json('url'))->assertOk();
        self::assertSame('image/jpeg', $shown->headers->get('Content-Type'));
        self::assertSame([1600, 800], array_slice((array) getimagesizefromstring((string) $shown->getContent()), 0, 2));
    }

    public function test_what_is_no_photograph_is_refused(): void
    {
        Storage::fake();
        $this->actingAs($this->person());
        $job = $this->job();

        $this->assertRefused($this->photograph($job, '<svg onload="alert(1)"/>'), 422, 'photograph', 'no photograph');
        $this->assertRefused($this->photograph($job, ''), 422, 'photograph', 'no photograph');
        $this->assertRefused($this->photograph($job, substr($this->png(40, 40), 0, 60)), 422, 'photograph', 'damaged');
        self::assertSame(0, Photograph::query()->count());
    }

    public function test_files_are_for_those_logged_in(): void
    {
        $this->get('/files/jobs/1/trials.csv', ['Accept' => 'application/json'])->assertStatus(401);
    }

    /**
     * @param  array<string, string>  $settings
     * @param  array<string, mixed>  $more
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function add(Job $job, array $settings, int $rating, array $more = []): TestResponse
    {
        return $this->send('POST', "/jobs/{$job->id}/trials", ['settings' => $settings, 'rating' => $rating] + $more);
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function photograph(Job $job, string $bytes): TestResponse
    {
        return $this->call(
            'POST',
            "/api/v1/jobs/{$job->id}/photographs",
            [],
            [],
            [],
            ['CONTENT_TYPE' => 'image/png', 'HTTP_ACCEPT' => 'application/json', 'HTTP_IDEMPOTENCY_KEY' => (string) Str::uuid()],
            $bytes,
        );
    }

    private function png(int $width, int $height): string
    {
        $picture = imagecreatetruecolor(max(1, $width), max(1, $height));
        ob_start();
        imagepng($picture);

        return (string) ob_get_clean();
    }
}
