<?php

declare(strict_types=1);

namespace Tests\Core\Proof;

use OddBench\Proof\Run\RunStage;
use PHPUnit\Framework\TestCase;
use Tests\Core\TradeKnowledge;

/** The stages of a run agree with the knowledge: the proofs they show and the findings they are evidence of exist. */
final class RunStageTest extends TestCase
{
    public function test_every_proof_a_stage_shows_is_a_proof_and_of_one_stage(): void
    {
        $shown = array_merge(...array_map(static fn (RunStage $stage): array => $stage->proofs(), RunStage::cases()));
        self::assertSame([], array_values(array_diff($shown, array_keys(TradeKnowledge::read()->proofs))));
        self::assertSame($shown, array_values(array_unique($shown)));
        foreach ($shown as $proof) {
            self::assertContains($proof, RunStage::showing($proof)?->proofs());
        }
        self::assertNull(RunStage::showing('insulation'), 'measured with a meter, by no run');
    }

    public function test_a_stage_that_prints_asks_how_it_looks_and_says_what_it_shows_when_it_is_not_good(): void
    {
        foreach (RunStage::cases() as $stage) {
            self::assertGreaterThan(0.0, $stage->aboutS());
            self::assertSame($stage->asks() === null, $stage->failsAs() === null, $stage->value);
            if ($stage->asks() !== null) {
                self::assertNotNull($stage->print(), $stage->value);
            }
        }
        self::assertSame(['identify', 'smoke', 'homing', 'hotend-hold', 'runaway-hotend'], array_values(array_map(
            static fn (RunStage $s): string => $s->value,
            array_filter(RunStage::cases(), static fn (RunStage $s): bool => $s->isAlwaysOwed()),
        )));
    }

    public function test_every_finding_named_in_the_code_of_a_run_is_known(): void
    {
        $findings = TradeKnowledge::read()->findings;
        $named = [];
        foreach (glob(dirname(__DIR__, 3).'/core/Proof/Run/*.php') ?: [] as $file) {
            $tokens = array_values(array_filter(
                token_get_all((string) file_get_contents($file)),
                static fn (mixed $t): bool => ! is_array($t) || $t[0] !== T_WHITESPACE,
            ));
            foreach ($tokens as $i => $token) {
                if (is_array($token) && $token[1] === 'because' && ($tokens[$i - 2][1] ?? '') === 'StageFailed') {
                    $depth = 0;
                    for ($at = $i + 1; isset($tokens[$at]); $at++) {
                        $depth += in_array($tokens[$at], ['(', '['], true) ? 1 : (in_array($tokens[$at], [')', ']'], true) ? -1 : 0);
                        if ($depth === 0) {
                            break;
                        }
                        // a code as an argument of its own, or as what a condition chooses
                        if ($depth >= 1 && is_array($tokens[$at]) && $tokens[$at][0] === T_CONSTANT_ENCAPSED_STRING
                            && preg_match("/^'[a-z]+(-[a-z]+)+'$/", $tokens[$at][1]) === 1) {
                            $named[trim($tokens[$at][1], "'")] = basename($file);
                        }
                    }
                }
            }
        }
        foreach (RunStage::cases() as $stage) {
            $named += $stage->failsAs() === null ? [] : [$stage->failsAs() => 'RunStage'];
        }

        self::assertGreaterThan(15, count($named));
        self::assertSame([], array_diff_key($named, $findings));
    }
}
