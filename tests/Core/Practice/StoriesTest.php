<?php

declare(strict_types=1);

namespace Tests\Core\Practice;

use OddBench\Diagnosis\CaseFile;
use OddBench\Diagnosis\Diagnose;
use OddBench\Diagnosis\Diagnosis;
use OddBench\Diagnosis\Suspect;
use OddBench\Knowledge\Check;
use OddBench\Knowledge\Traits;
use OddBench\Practice\Advised;
use OddBench\Practice\Bench;
use OddBench\Practice\Practice;
use OddBench\Practice\Story;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TradeKnowledge;

/** Written broken machines: what the owner says, what was looked at, what it was (common practice). */
final class StoriesTest extends TestCase
{
    private static ?Practice $practice = null;

    /** @return iterable<string, array{Story}> */
    public static function stories(): iterable
    {
        foreach (self::practice()->stories as $story) {
            yield $story->code => [$story];
        }
    }

    #[DataProvider('stories')]
    public function test_after_the_looks_the_true_faults_stand_first(Story $story): void
    {
        $diagnosis = $this->judge($story, $this->known($story));
        $top = $this->inQuestion($diagnosis, count($story->truth));

        if ($story->either !== []) {
            self::assertContains($top[0], $story->either, $this->explain($diagnosis));
        } else {
            self::assertEqualsCanonicalizing($story->truth, $top, $this->explain($diagnosis));
            self::assertSame(
                [],
                array_diff($story->truth, $diagnosis->explained),
                $this->explain($diagnosis).' explained by '.implode(', ', $diagnosis->explained),
            );
        }
    }

    #[DataProvider('stories')]
    public function test_doing_what_it_says_finds_the_fault_with_few_mends_in_vain(Story $story): void
    {
        $knowledge = TradeKnowledge::read();
        $played = (new Bench($knowledge))->play(
            $story->machine($knowledge->families[$story->family]->traits),
            new Advised($knowledge, 'measure-first'),
        );

        // of whom nobody says anything, a machine may end with a second person
        self::assertTrue($played->settled || $story->told === []);
        // a story shows the fault only where somebody looked, so some honest guesses are in vain
        self::assertLessThanOrEqual(4, count($played->wrong), implode(', ', [...$played->looks, '| mended in vain:', ...$played->wrong]));
    }

    #[DataProvider('stories')]
    public function test_what_cannot_be_done_on_this_machine_or_under_a_red_tag_is_never_offered(Story $story): void
    {
        $knowledge = TradeKnowledge::read();
        $traits = Traits::of($knowledge->families[$story->family]->traits);
        foreach ([$story->complaint(), $this->known($story)] as $findings) {
            $diagnosis = $this->judge($story, $findings);
            foreach ($diagnosis->next as $step) {
                if ($step->kind !== 'check') {
                    continue;
                }
                self::assertTrue($traits->allow($knowledge->checks[$step->code]->needs), "{$step->code} cannot be done here");
                if ($diagnosis->danger->redTag) {
                    self::assertTrue(! $step->needsPower || $step->supervised, "{$step->code} under a red tag");
                }
            }
        }
        if ($story->powerless) {
            self::assertTrue($diagnosis->danger->redTag, 'a machine like this is unplugged');
        }
    }

    public function test_a_first_diagnosis_can_be_wrong_and_a_later_look_overturns_it(): void
    {
        $overturned = 0;
        foreach (self::practice()->stories as $story) {
            if ($story->first === null) {
                continue;
            }
            $overturned++;
            $first = $this->judge($story, $story->complaint(), ruledOut: []);
            self::assertSame($story->first, $this->inQuestion($first, 1)[0], "{$story->code}: {$this->explain($first)}");
            self::assertNotContains($story->first, $story->truth);
            self::assertNotSame($story->first, $this->inQuestion($this->judge($story, $this->known($story)), 1)[0]);
        }
        self::assertGreaterThanOrEqual(4, $overturned);
    }

    public function test_there_are_stories_from_every_corner_of_the_trade(): void
    {
        $stories = self::practice()->stories;
        self::assertGreaterThanOrEqual(60, count($stories));
        $areas = $families = [];
        foreach ($stories as $story) {
            $families[$story->family] = true;
            $areas[TradeKnowledge::read()->faults[$story->truth[0]]->area] = true;
        }
        self::assertCount(count(TradeKnowledge::read()->families), $families);
        self::assertEqualsCanonicalizing(
            array_values(array_unique(array_map(static fn ($f): string => $f->area, array_values(TradeKnowledge::read()->faults)))),
            array_keys($areas),
        );
        self::assertGreaterThanOrEqual(5, count(array_filter($stories, static fn (Story $s): bool => count($s->truth) > 1)), 'two at once');
        self::assertGreaterThanOrEqual(3, count(array_filter($stories, static fn (Story $s): bool => $s->told === [])), 'vague ones');
    }

    private static function practice(): Practice
    {
        return self::$practice ??= TradeKnowledge::files()->practice();
    }

    /** @return array<string, string> */
    private function known(Story $story): array
    {
        $findings = $story->complaint();
        foreach (array_keys($story->looks) as $code) {
            $findings += $story->lookedAt($code, $this->check($code)->yields);
        }

        return $findings;
    }

    private function check(string $code): Check
    {
        return TradeKnowledge::read()->check($code);
    }

    /**
     * @param  array<string, string>  $findings
     * @param  list<string>|null  $ruledOut
     */
    private function judge(Story $story, array $findings, ?array $ruledOut = null): Diagnosis
    {
        $knowledge = TradeKnowledge::read();

        return (new Diagnose($knowledge))->judge(CaseFile::read([
            'traits' => $knowledge->families[$story->family]->traits,
            'findings' => $findings,
            'ruled_out' => $ruledOut ?? $story->mended,
        ], $knowledge));
    }

    /** @return list<string> */
    private function inQuestion(Diagnosis $diagnosis, int $many): array
    {
        $found = array_filter($diagnosis->suspects, static fn (Suspect $s): bool => $s->explains !== []);

        return array_slice(array_map(static fn (Suspect $s): string => $s->code, array_values($found)), 0, $many);
    }

    private function explain(Diagnosis $diagnosis): string
    {
        return implode(
            ', ',
            array_map(
                static fn (Suspect $s): string => sprintf('%s %.0f %%', $s->code, 100 * $s->probability),
                array_slice($diagnosis->suspects, 0, 5),
            ),
        );
    }
}
