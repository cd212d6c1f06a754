<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use OddBench\Diagnosis\Diagnose;
use OddBench\Knowledge\Check;
use OddBench\Knowledge\Fault;
use OddBench\Knowledge\Finding;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Mend;
use OddBench\Knowledge\State;
use PHPUnit\Framework\TestCase;

/** The rules that stand before the arithmetic of the next step, on trades of a few faults. */
final class JudgedStepsTest extends TestCase
{
    public function test_danger_is_settled_first_from_one_in_twenty_on_and_never_mended_on_a_guess(): void
    {
        $trade = fn (float $rate): Knowledge => $this->trade(
            [
                $this->fault('plain', 200, ['slow' => 0.9], 5),
                $this->fault('burning', $rate, ['slow' => 0.9, 'brown' => 0.9], 30, settle: ['plug-look'], danger: true),
            ],
            [SmallKnowledge::check('plug-look', ['brown'], State::Unplugged, 3)],
        );

        $first = $this->next($trade(20.0), ['slow'])[0];
        self::assertSame(['plug-look', 'danger', 'burning'], [$first['code'], $first['because'], $first['fault']]);
        // 0.8 in a thousand beside 200: under one in twenty
        self::assertNotSame('danger', $this->next($trade(0.8), ['slow'])[0]['because']);
        self::assertNotContains('burning', $this->mends($trade(100.0), ['slow']));
        self::assertContains('burning', $this->mends($trade(100.0), ['slow', 'brown']));
    }

    public function test_what_only_qualified_people_mend_is_gated_on_such_a_machine_only(): void
    {
        $trade = $this->trade(
            [$this->fault('heater', 100, ['cold' => 0.9, 'open' => 0.9], 10, settle: ['ohms'], qualified: ['bed_supply' => ['mains']])],
            [SmallKnowledge::check('ohms', ['open'], State::Powered, 9)],
        );
        $on = fn (string $supply): array => (new Diagnose($trade))->compute([
            'findings' => ['cold' => 'present'],
            'traits' => ['bed_supply' => $supply],
        ])['next'];

        self::assertSame(['ohms', 'danger'], [$on('mains')[0]['code'], $on('mains')[0]['because']]);
        self::assertSame([], array_filter($on('mains'), static fn (array $s): bool => $s['kind'] === 'mend'));
        self::assertNotSame('danger', $on('24 V')[0]['because']);
    }

    public function test_of_two_settling_looks_the_one_without_power_comes_first(): void
    {
        $trade = $this->trade(
            [$this->fault(
                'burning',
                100,
                ['slow' => 0.9, 'brown' => 0.9, 'volts' => 0.9],
                30,
                settle: ['volts', 'plug-look'],
                danger: true,
            )],
            [
                SmallKnowledge::check('volts', ['volts'], State::Powered, 1, supervised: true),
                SmallKnowledge::check('plug-look', ['brown'], State::Unplugged, 9),
            ],
        );

        self::assertSame('plug-look', $this->next($trade, ['slow'])[0]['code']);
    }

    public function test_a_likely_cause_is_confirmed_before_a_long_mend_or_one_with_a_part_and_not_before_a_quick_one(): void
    {
        $trade = fn (float $minutes, array $parts): Knowledge => $this->trade(
            [$this->fault('worn', 100, ['clicks' => 0.9, 'dust' => 0.9], $minutes, settle: ['gear-look'], parts: $parts)],
            [SmallKnowledge::check('gear-look', ['dust'], State::Open, 3)],
        );

        self::assertSame(
            ['gear-look', 'leader'],
            [$this->next($trade(15.0, []), ['clicks'])[0]['code'], $this->next($trade(15.0, []), ['clicks'])[0]['because']],
        );
        self::assertSame('gear-look', $this->next($trade(9.0, ['gear']), ['clicks'])[0]['code']);
        // nine minutes without a part, and the look takes seven: it is tried
        self::assertSame(
            ['mend', 'worn'],
            [$this->next($trade(9.0, []), ['clicks'])[0]['kind'], $this->next($trade(9.0, []), ['clicks'])[0]['code']],
        );
        self::assertSame(
            ['mend', 'worn'],
            [$this->next($trade(15.0, []), ['clicks', 'dust'])[0]['kind'], $this->next($trade(15.0, []), ['clicks', 'dust'])[0]['code']],
            'it spoke',
        );
    }

    public function test_what_a_look_cannot_be_made_with_or_tells_nothing_with_keeps_it_out(): void
    {
        $look = new Check(
            'push',
            'push',
            4,
            State::Hot,
            false,
            false,
            false,
            false,
            ['curls'],
            [],
            [],
            [],
            null,
            null,
            null,
            [],
            null,
            notWhen: ['dead'],
        );
        $only = new Check(
            'volts',
            'volts',
            3,
            State::Cold,
            false,
            false,
            false,
            false,
            ['none-out'],
            [],
            [],
            [],
            null,
            null,
            null,
            [],
            null,
            onlyWhen: ['dead'],
        );
        $trade = $this->trade(
            [$this->fault('clog', 100, ['thin' => 0.9, 'dead' => 0.3, 'curls' => 0.9, 'none-out' => 0.9], 40)],
            [$look, $only],
        );

        self::assertSame(['push'], $this->looks($trade, ['thin']));
        self::assertSame(['volts'], $this->looks($trade, ['thin', 'dead']));
    }

    public function test_a_look_that_was_made_is_not_offered_again(): void
    {
        $trade = $this->trade(
            [$this->fault('fan', 100, ['jams' => 0.9, 'still' => 0.9, 'howls' => 0.6], 40)],
            [SmallKnowledge::check('fans', ['still', 'howls'], State::Cold, 2)],
        );

        self::assertSame(['fans'], $this->looks($trade, ['jams']));
        self::assertSame([], $this->looks($trade, ['jams'], ['still']), 'somebody looked: it does not stand still');
        self::assertSame(['fans'], $this->looks($trade, ['jams', 'howls']), 'told, not looked at');
    }

    public function test_quick_looks_of_one_state_are_one_card_of_at_most_five_and_six_minutes(): void
    {
        $faults = $checks = [];
        for ($i = 1; $i <= 6; $i++) {
            $faults[] = $this->fault("f{$i}", 60, ['rattles' => 0.9, "seen-{$i}" => 0.9], 40);
            $checks[] = SmallKnowledge::check("look-{$i}", ["seen-{$i}"], State::Cold, $i === 1 ? 2 : 1);
        }
        $checks[] = SmallKnowledge::check('long', ['seen-1'], State::Cold, 5);
        $next = $this->next($this->trade($faults, $checks), ['rattles']);
        $sweep = array_values(array_filter($next, static fn (array $s): bool => $s['kind'] === 'sweep'))[0];

        self::assertSame('sweep', $next[0]['kind']);
        self::assertCount(5, $sweep['looks']);
        self::assertLessThanOrEqual(6.0, $sweep['minutes']);
        self::assertNotContains('long', $sweep['looks']);
        self::assertSame(
            [],
            array_intersect(
                $sweep['looks'],
                array_column(array_filter($next, static fn (array $s): bool => $s['kind'] === 'check'), 'code'),
            ),
            'none of them stands twice',
        );
    }

    public function test_that_it_is_none_of_them_by_bayes_rule(): void
    {
        $trade = $this->trade([$this->fault('a', 100, ['seen' => 0.9], 10)], []);
        $result = (new Diagnose($trade))->compute(['findings' => ['seen' => 'present']]);

        // P(seen | none) = 0.02, P(seen | a) = 1 − 0.98·0.1 = 0.902
        self::assertEqualsWithDelta(0.9 * 0.02 / (0.9 * 0.02 + 0.1 * 0.902), $result['none'], 1e-9);
        self::assertSame(0.0, (new Diagnose($trade))->compute(['findings' => []])['none']);
    }

    public function test_a_part_that_is_not_there_makes_a_mend_dearer_by_price_and_days(): void
    {
        $trade = $this->trade(
            [$this->fault('a', 60, ['seen' => 0.9], 10, parts: ['gear']), $this->fault('b', 50, ['seen' => 0.9], 10, parts: ['belt'])],
            [],
        );
        $first = fn (array $rates): string => $this->next($trade, ['seen'], ['rates' => $rates])[0]['code'];

        self::assertSame('a', $first(['parts' => ['gear' => 0]]));
        self::assertSame('b', $first(['parts' => ['gear' => 20]]));
        self::assertSame('b', $first(['parts' => ['gear' => 0], 'waiting' => ['gear' => 5], 'waiting_day' => 4]));
        self::assertSame(
            'a',
            $this->next(
                $trade,
                ['seen'],
                ['rates' => ['parts' => ['gear' => 0], 'waiting' => ['gear' => 5], 'waiting_day' => 4], 'on_shelf' => ['gear']],
            )[0]['code'],
        );
    }

    /**
     * @param  list<Fault>  $faults
     * @param  list<Check>  $checks
     */
    private function trade(array $faults, array $checks): Knowledge
    {
        $findings = $byFault = $byCheck = [];
        foreach ($faults as $fault) {
            $byFault[$fault->code] = $fault;
            foreach (array_keys($fault->shows) as $code) {
                $findings[$code] = new Finding($code, $code, 'Made up', 0.02, false, true, false, null);
            }
        }
        foreach ($checks as $check) {
            $byCheck[$check->code] = $check;
        }
        $small = SmallKnowledge::of($findings, $byFault, $byCheck);

        return new Knowledge(
            $small->findings,
            $small->faults,
            $small->checks,
            [],
            [],
            [],
            $small->subsystems,
            ['gear' => 'gear', 'belt' => 'belt'],
            [],
            $small->bench,
        );
    }

    /**
     * @param  array<string, float>  $shows
     * @param  list<string>  $settle
     * @param  list<string>  $parts
     * @param  array<string, list<string>>|null  $qualified
     */
    private function fault(
        string $code,
        float $rate,
        array $shows,
        float $minutes,
        array $settle = [],
        bool $danger = false,
        array $parts = [],
        ?array $qualified = null,
    ): Fault {
        return new Fault(
            $code,
            $code,
            'Made up',
            $rate,
            [],
            $shows,
            'made up',
            null,
            [new Mend(null, 'mend it', $minutes, ['bed'], $parts)],
            $danger,
            [],
            [],
            [],
            null,
            $settle,
            $qualified,
        );
    }

    /**
     * @param  list<string>  $present
     * @param  array<string, mixed>  $more
     * @param  list<string>  $absent
     * @return list<array<string, mixed>>
     */
    private function next(Knowledge $trade, array $present, array $more = [], array $absent = []): array
    {
        return (new Diagnose($trade))->compute(
            ['findings' => array_fill_keys($present, 'present') + array_fill_keys($absent, 'absent')] + $more,
        )['next'];
    }

    /**
     * @param  list<string>  $present
     * @param  list<string>  $absent
     * @return list<string>
     */
    private function looks(Knowledge $trade, array $present, array $absent = []): array
    {
        return array_values(array_column(
            array_filter($this->next($trade, $present, [], $absent), static fn (array $s): bool => $s['kind'] === 'check'),
            'code',
        ));
    }

    /**
     * @param  list<string>  $present
     * @return list<string>
     */
    private function mends(Knowledge $trade, array $present): array
    {
        return array_column(
            array_filter(
                $this->next($trade, $present, ['hidden' => array_keys($trade->checks)]),
                static fn (array $s): bool => $s['kind'] === 'mend',
            ),
            'code',
        );
    }
}
