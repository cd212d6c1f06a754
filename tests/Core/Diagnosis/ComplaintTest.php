<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use OddBench\Diagnosis\Complaint;
use OddBench\Diagnosis\PhraseIndex;
use OddBench\Diagnosis\Said;
use OddBench\Input\InputError;
use OddBench\Knowledge\Traits;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;
use Tests\Core\TradeKnowledge;

final class ComplaintTest extends TestCase
{
    public function test_it_names_what_is_there_for_eighty_five_in_a_hundred_complaints_nobody_tuned_it_on(): void
    {
        $hits = 0;
        $missed = [];
        $complaints = (array) Yaml::parseFile(dirname(__DIR__, 3).'/knowledge/practice/complaints.yaml');
        foreach ($complaints as $one) {
            /** @var array{says: string, there: list<string>} $one */
            self::assertSame([], array_diff($one['there'], array_keys(TradeKnowledge::read()->findings)), $one['says']);
            array_intersect($this->codes($one['says']), $one['there']) === [] ? $missed[] = $one['says'] : $hits++;
        }

        self::assertGreaterThanOrEqual(50, count($complaints));
        self::assertGreaterThanOrEqual(0.85 * count($complaints), $hits, implode("\n", $missed));
    }

    public function test_the_owners_of_the_written_machines_are_understood(): void
    {
        $all = $hits = 0;
        foreach (TradeKnowledge::files()->practice()->stories as $story) {
            if ($story->told !== []) {
                $all++;
                $hits += (int) (array_intersect(
                    $this->codes($story->says, TradeKnowledge::read()->families[$story->family]->traits),
                    $story->told,
                ) !== []);
            }
        }

        self::assertGreaterThanOrEqual(0.85 * $all, $hits);
    }

    /** Phrases the reader has not got find their finding from what the others said; a single phrase tells less than a complaint. */
    public function test_half_of_the_phrases_are_found_by_the_other_half(): void
    {
        $knowledge = TradeKnowledge::read();
        foreach ([0, 1] as $half) {
            $said = $asked = [];
            foreach ($knowledge->findings as $finding) {
                foreach ($finding->said as $i => $phrase) {
                    $i % 2 === $half ? $asked[] = [$finding->code, $phrase] : $said[$finding->code][] = $phrase;
                }
            }
            $index = new PhraseIndex($said, $knowledge->alike);
            $hits = count(array_filter(
                $asked,
                static fn (array $one): bool => in_array(
                    $one[0],
                    array_slice(array_keys($index->scores(Said::of($one[1]))), 0, Complaint::OFFERED),
                    true,
                ),
            ));

            self::assertGreaterThanOrEqual(0.6 * count($asked), $hits);
        }
    }

    public function test_each_has_six_phrases_or_none(): void
    {
        foreach (TradeKnowledge::read()->findings as $finding) {
            if ($finding->said !== []
                || $finding->circumstance
                || in_array($finding->group, ['Told or shown', 'First layer', 'Walls'], true)) {
                if ($finding->code !== 'patches-after-wipe') {
                    self::assertGreaterThanOrEqual(6, count($finding->said), $finding->code);
                }
            }
        }
    }

    public function test_thin_and_holey(): void
    {
        self::assertSame(['thin-extrusion', 'gaps-in-fill'], array_slice($this->codes('The prints are all thin and holey'), 0, 2));
    }

    #[TestWith(['it is stringy', 'strings', true])]
    #[TestWith(['it is not stringy any more', 'strings', false])]
    #[TestWith(["it isn't stringy", 'strings', false])]
    #[TestWith(['strngy hairs evrywhere', 'strings', true])]
    #[TestWith(['the nozle stays cold', 'hotend-cold', true])]
    #[TestWith(['no smoke, but the layers shift', 'smoke', false])]
    #[TestWith(['no smoke, but the layers shift', 'layers-shifted', true])]
    public function test_what_is_denied_is_not_heard_and_a_slip_of_the_pen_is(string $text, string $finding, bool $heard): void
    {
        self::assertSame($heard, in_array($finding, $this->codes($text), true), implode(', ', $this->codes($text)));
    }

    public function test_what_this_machine_cannot_have_is_not_offered(): void
    {
        $text = 'The canister wheel does not turn and a light at the slot is red';

        self::assertContains('slot-alarm', $this->codes($text, TradeKnowledge::read()->families['heron-cx']->traits));
        self::assertNotContains('slot-alarm', $this->codes($text, TradeKnowledge::read()->families['tern-220']->traits));
        self::assertNotContains('feed-wheel-stuck', $this->codes($text, TradeKnowledge::read()->families['tern-220']->traits));
    }

    /** @param  list<string>  $questions */
    #[TestWith(['there was smoke', ['smoke']])]
    #[TestWith(['it smells burnt', ['smell', 'browned']])]
    #[TestWith(['it tingles', ['shock']])]
    #[TestWith(['I saw sparks', ['spark']])]
    #[TestWith(['the plug is melted', ['browned']])]
    #[TestWith(['no smoke at all', []])]
    public function test_a_word_of_danger_raises_its_statement(string $text, array $questions): void
    {
        self::assertSame($questions, array_column((new Complaint(TradeKnowledge::read()))->safety($text), 'question'));
    }

    public function test_the_words_that_spoke_are_told_and_scores_fall(): void
    {
        $found = (new Complaint(TradeKnowledge::read()))->compute(['text' => 'Clicks like mad and nothing comes out'])['findings'];

        self::assertNotSame([], $found);
        self::assertSame($found, array_values($found));
        $scores = array_column((array) $found, 'score');
        $sorted = $scores;
        rsort($sorted);
        self::assertSame($sorted, $scores);
        foreach ((array) $found as $one) {
            self::assertNotSame([], $one['words']);
        }
    }

    public function test_nothing_said_and_nonsense(): void
    {
        self::assertSame([], $this->codes('qwxz zzkpt 12345'));
        $this->expectException(InputError::class);
        (new Complaint(TradeKnowledge::read()))->compute(['text' => 'thin', 'traits' => ['feeder' => 'a lot']]);
    }

    /**
     * @param  array<string, string>  $traits
     * @return list<string>
     */
    private function codes(string $text, array $traits = []): array
    {
        return array_column((new Complaint(TradeKnowledge::read()))->findings($text, Traits::of($traits)), 'code');
    }
}
