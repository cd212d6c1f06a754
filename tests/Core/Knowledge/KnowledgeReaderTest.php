<?php

declare(strict_types=1);

namespace Tests\Core\Knowledge;

use OddBench\Input\Nearest;
use OddBench\Knowledge\BadKnowledge;
use OddBench\Knowledge\KnowledgeReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;
use Tests\Core\TradeKnowledge;

final class KnowledgeReaderTest extends TestCase
{
    public function test_the_catalogue_is_whole(): void
    {
        $knowledge = TradeKnowledge::read();

        self::assertGreaterThanOrEqual(91, count($knowledge->faults));
        self::assertGreaterThanOrEqual(139, count($knowledge->findings));
        self::assertGreaterThanOrEqual(65, count($knowledge->checks));
        self::assertCount(8, $knowledge->families);
    }

    public function test_every_dangerous_fault_shows_a_sign_that_puts_the_red_tag_on_or_can_be_screened(): void
    {
        $knowledge = TradeKnowledge::read();
        foreach (TradeKnowledge::read()->faults as $fault) {
            if (! $fault->danger) {
                continue;
            }
            $red = array_filter(array_keys($fault->shows), static fn (string $code): bool => $knowledge->findings[$code]->redTag);
            $looks = array_filter(
                $fault->settle,
                static fn (string $check): bool => array_intersect($knowledge->checks[$check]->yields, array_keys($fault->shows)) !== [],
            );
            self::assertNotSame([[], []], [$red, $looks], "{$fault->code}: nothing that it shows puts the tag on, and no look settles it");
        }
        $dangers = array_keys(array_filter(TradeKnowledge::read()->faults, static fn ($f): bool => $f->danger));
        self::assertContains('connector-burning', $dangers);
        self::assertContains('earth-open', $dangers);
    }

    public function test_everything_that_is_seen_can_be_tapped_somewhere_on_the_drawn_machine(): void
    {
        $places = TradeKnowledge::read()->places;
        $tapped = array_merge(...array_map(static fn ($place): array => $place->findings, array_values($places)));
        foreach (TradeKnowledge::read()->findings as $finding) {
            if (! $finding->circumstance) {
                self::assertContains($finding->code, $tapped, 'circumstances are told, not seen');
            }
        }
    }

    /** @return iterable<string, array{callable(array<string, mixed>): array<string, mixed>, string}> */
    public static function mistakes(): iterable
    {
        yield 'a strength that is none' => [static function (array $f): array {
            $f['faults/motion.yaml']['faults'][0]['shows']['crept-in'] = 'X';

            return $f;
        }, 'faults/motion.yaml: wheels-worn: shows.crept-in: must be A, O, S or R'];
        yield 'a finding nobody knows' => [static function (array $f): array {
            $f['faults/motion.yaml']['faults'][0]['shows']['wheel-flatt'] = 'A';

            return $f;
        }, 'faults: wheels-worn: shows: there is no “wheel-flatt”'];
        yield 'a code that stands twice' => [static function (array $f): array {
            $f['findings.yaml'][] = $f['findings.yaml'][0];

            return $f;
        }, 'findings.yaml: error-thermistor: code: stands twice'];
        yield 'a rate out of range' => [static function (array $f): array {
            $f['faults/motion.yaml']['faults'][0]['rate'] = 1200;

            return $f;
        }, 'rate: must be from 0.1 to 400, not 1200'];
        yield 'a misspelt field' => [static function (array $f): array {
            $f['checks.yaml'][0]['minuts'] = 4;

            return $f;
        }, 'checks.yaml: first-layer-watch: minuts: is no field of this entry'];
        yield 'a finding that nothing can show' => [static function (array $f): array {
            $f['findings.yaml'][] = ['code' => 'sings', 'name' => 'it sings', 'group' => 'Told'];

            return $f;
        }, 'findings.yaml: sings: asked_at_book_in: no check yields it'];
        yield 'a trait value nobody knows' => [static function (array $f): array {
            $f['faults/motion.yaml']['faults'][0]['needs'] = ['guides' => ['wings']];

            return $f;
        }, 'needs.guides: must be of wheels, rods, rails'];
        yield 'a proof for a subsystem that is none' => [static function (array $f): array {
            $f['proofs.yaml'][0]['touched'] = ['wings'];

            return $f;
        }, 'proofs.yaml: earth-path: touched: there is no “wings”'];
        yield 'a leak that is certainty' => [static function (array $f): array {
            $f['findings.yaml'][0]['leak'] = 1;

            return $f;
        }, 'findings.yaml: error-thermistor: leak'];
        yield 'a strength above certainty' => [static function (array $f): array {
            $f['faults/motion.yaml']['faults'][0]['shows']['crept-in'] = 1.2;

            return $f;
        }, 'faults/motion.yaml: wheels-worn: shows.crept-in: must be A, O, S or R, or a strength above 0 and up to 1'];
        yield 'an entry without a code' => [static function (array $f): array {
            unset($f['checks.yaml'][2]['code']);

            return $f;
        }, 'checks.yaml: #3: code: is missing'];
        yield 'a circle of causes' => [static function (array $f): array {
            foreach ($f['faults/motion.yaml']['faults'] as $i => $fault) {
                if ($fault['code'] === 'wheels-worn') {
                    $f['faults/motion.yaml']['faults'][$i]['brings'] = ['rail-scored'];
                }
            }

            return $f;
        }, 'goes in a circle with what lies behind'];
        yield 'a mend without parts' => [static function (array $f): array {
            unset($f['faults/motion.yaml']['faults'][0]['mends'][0]['parts']);

            return $f;
        }, 'wheels-worn.mends.1: parts: must be a list, an empty one for none'];
        yield 'a mend without minutes' => [static function (array $f): array {
            unset($f['faults/motion.yaml']['faults'][0]['mends'][0]['minutes']);

            return $f;
        }, 'wheels-worn.mends.1: minutes: is missing'];
        yield 'a fault no check tells' => [static function (array $f): array {
            $f['faults/motion.yaml']['faults'][0]['shows'] = ['crept-in' => 'O', 'bed-play' => 'R'];
            $f['faults/motion.yaml']['faults'][0]['settle'] = [];

            return $f;
        }, 'faults: wheels-worn: shows: no check moves its odds fivefold'];
        yield 'a check that settles nothing' => [static function (array $f): array {
            foreach ($f['checks.yaml'] as $i => $check) {
                if ($check['code'] === 'sink-temperature') {
                    $f['checks.yaml'][$i]['yields'] = [];
                }
            }

            return $f;
        }, 'checks.yaml: sink-temperature: yields: must name at least one finding'];
        yield 'a check in one step' => [static function (array $f): array {
            $f['checks.yaml'][0]['steps'] = ['Just look.'];

            return $f;
        }, 'checks.yaml: first-layer-watch: steps: must say in two to five steps'];
        yield 'a hazard nobody knows' => [static function (array $f): array {
            $f['checks.yaml'][0]['hazards'] = ['dragons'];

            return $f;
        }, 'checks.yaml: first-layer-watch: hazards: there is no “dragons”'];
        yield 'letters two families share' => [static function (array $f): array {
            $f['families/wren-mini.yaml']['letters'] = 'TR';

            return $f;
        }, 'letters: are taken by tern-220'];
    }

    /** @param  callable(array<string, mixed>): array<string, mixed>  $spoil */
    #[DataProvider('mistakes')]
    public function test_a_mistake_is_named_by_file_entry_and_field(callable $spoil, string $message): void
    {
        try {
            KnowledgeReader::read($spoil($this->files()));
            self::fail('It was taken.');
        } catch (BadKnowledge $e) {
            self::assertStringContainsString($message, $e->getMessage());
        }
    }

    public function test_all_mistakes_are_said_at_once(): void
    {
        $files = $this->files();
        $files['findings.yaml'][0]['leak'] = 2;
        $files['checks.yaml'][0]['state'] = 'warm';

        try {
            KnowledgeReader::read($files);
            self::fail('It was taken.');
        } catch (BadKnowledge $e) {
            self::assertGreaterThanOrEqual(2, count($e->mistakes));
        }
    }

    public function test_the_nearest_word_is_offered_only_when_it_is_near(): void
    {
        self::assertSame('belt-slack', Nearest::to('belt-slak', ['belt-slack', 'belt-damaged']));
        self::assertNull(Nearest::to('xyz', ['belt-slack', 'belt-damaged']));
    }

    /** @return array<string, mixed> */
    private function files(): array
    {
        $folder = dirname(__DIR__, 3).'/knowledge/';
        $files = [];
        foreach ([...(glob("{$folder}*.yaml") ?: []), ...(glob("{$folder}*/*.yaml") ?: [])] as $path) {
            $files[substr($path, strlen($folder))] = Yaml::parseFile($path);
        }

        return $files;
    }
}
