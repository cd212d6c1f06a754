<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;

/** A finding is one question and one answer: what Find shows afterwards comes with it, read and judged once. */
final class OneSessionTest extends BenchTestCase
{
    private const MOST_QUESTIONS = 15;

    public function test_a_finding_is_answered_with_the_ranking_it_makes(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->atFind($job);
        $answer = $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['jams-when-warm' => true]])->assertOk();

        self::assertSame($job->refresh()->version, $answer->json('version'));
        self::assertContains('jams-when-warm', array_column((array) $answer->json('findings'), 'code'));
        self::assertEquals(
            $this->getJson("/api/v1/jobs/{$job->id}/diagnosis")->assertOk()->json(),
            $answer->json('diagnosis'),
            'the same as who asks afterwards is told',
        );
        self::assertSame($answer->json('diagnosis.next.0.name'), $job->next_step, 'the bench says the same next step');
        self::assertNotSame([], $answer->json('diagnosis.moves'));

        $swap = $this->send(
            'POST',
            "/jobs/{$job->id}/findings",
            ['findings' => ['hot-material-used' => true], 'school' => 'swap-first'],
        )->assertOk();
        self::assertEquals($this->getJson("/api/v1/jobs/{$job->id}/diagnosis?school=swap-first")->json(), $swap->json('diagnosis'));
        self::assertStringStartsWith('Measure first', (string) $swap->json('diagnosis.otherSchool'));
    }

    public function test_it_asks_the_database_few_things(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->atFind($job);
        $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['hot-material-used' => true]])->assertOk();
        DB::enableQueryLog();
        $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['jams-when-warm' => true]])->assertOk();
        $asked = array_column(DB::getQueryLog(), 'query');
        DB::disableQueryLog();

        self::assertLessThanOrEqual(
            self::MOST_QUESTIONS,
            count($asked),
            implode("\n", array_map(static fn (string $q): string => substr((string) preg_replace('/\s+/', ' ', $q), 0, 150), $asked)),
        );
    }

    public function test_a_danger_that_is_found_comes_with_its_red_tag(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->atFind($job);
        $answer = $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['connector-brown' => true]])->assertOk();

        self::assertStringContainsString('brown', (string) $answer->json('redTag.reason'));
        self::assertNotSame([], $answer->json('diagnosis.danger'));
    }
}
