<?php

declare(strict_types=1);

namespace Tests\Core\Practice;

use OddBench\Diagnosis\CaseFile;
use OddBench\Diagnosis\Diagnose;
use OddBench\Diagnosis\Step;
use OddBench\Knowledge\Knowledge;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;
use Tests\Core\TradeKnowledge;

/** What comes in, and what a good technician does first and never first (common practice). */
final class FirstStepsTest extends TestCase
{
    public function test_what_is_offered_first_is_what_a_good_technician_does_first(): void
    {
        $wrong = [];
        $all = self::situations();
        foreach ($all as $situation) {
            $first = self::first(TradeKnowledge::read(), $situation);
            if (array_intersect($first, $situation['first']) === []) {
                $wrong[] = "{$situation['code']}: ".implode('+', $first);
            }
        }

        self::assertGreaterThanOrEqual(70, count($all));
        // nine in ten at the least
        self::assertLessThanOrEqual(count($all) / 10, count($wrong), implode("\n", $wrong));
    }

    public function test_what_he_never_does_first_is_never_offered_first(): void
    {
        foreach (self::situations() as $situation) {
            self::assertSame(
                [],
                array_values(array_intersect(self::first(TradeKnowledge::read(), $situation), $situation['never'])),
                $situation['code'],
            );
        }
    }

    public function test_every_code_in_them_exists(): void
    {
        $knowledge = TradeKnowledge::read();
        foreach (self::situations() as $situation) {
            foreach ([...$situation['first'], ...$situation['never']] as $code) {
                $there = str_starts_with($code, 'mend:') ? isset($knowledge->faults[substr($code, 5)]) : isset($knowledge->checks[$code]);
                self::assertTrue($there, "{$situation['code']}: {$code}");
            }
        }
    }

    /**
     * @return list<array{code: string, family: string, told: list<string>, not: list<string>, first: list<string>, never: list<string>}>
     */
    private static function situations(): array
    {
        $situations = [];
        foreach ((array) Yaml::parseFile(dirname(__DIR__, 3).'/knowledge/practice/first-steps.yaml') as $one) {
            /**
             * @var array{code: string, family: string, told: list<string>, not?: list<string>, first: list<string>, never: list<string>} $one
             */
            $situations[] = ['not' => [], ...$one];
        }

        return $situations;
    }

    /**
     * @param  array{family: string, told: list<string>, not: list<string>}  $situation
     * @return list<string>
     */
    private static function first(Knowledge $knowledge, array $situation): array
    {
        $step = (new Diagnose($knowledge))->judge(CaseFile::read([
            'traits' => $knowledge->families[$situation['family']]->traits,
            'findings' => array_fill_keys($situation['told'], 'present') + array_fill_keys($situation['not'], 'absent'),
        ], $knowledge))->next[0] ?? null;

        return match ($step?->kind) {
            null => [],
            'check' => [$step->code],
            'sweep' => array_map(static fn (Step $look): string => $look->code, $step->looks),
            default => ["{$step->kind}:{$step->code}"],
        };
    }
}
