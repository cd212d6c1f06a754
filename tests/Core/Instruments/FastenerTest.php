<?php

declare(strict_types=1);

namespace Tests\Core\Instruments;

use PHPUnit\Framework\Attributes\DataProvider;

final class FastenerTest extends InstrumentTestCase
{
    /** @return iterable<string, array{float, float, string, float, float}> measures; coarse pitch by ISO 261, key by ISO 4762 */
    public static function screws(): iterable
    {
        yield 'M2' => [1.95, 6.1, 'M2×6', 0.4, 1.5];
        yield 'M3' => [2.92, 11.9, 'M3×12', 0.5, 2.5];
        yield 'M4' => [3.9, 20.0, 'M4×20', 0.7, 3.0];
        yield 'M5' => [4.95, 25.2, 'M5×25', 0.8, 4.0];
        yield 'M8' => [7.9, 40.3, 'M8×40', 1.25, 6.0];
    }

    #[DataProvider('screws')]
    public function test_a_screw_by_its_measures(float $diameter, float $length, string $designation, float $pitch, float $key): void
    {
        $result = $this->compute('fastener', ['diameter_mm' => $diameter, 'length_mm' => $length]);

        self::assertSame([$designation, $pitch, $key], [$result['designation'], $result['pitch_mm'], $result['key_mm']]);
        self::assertNull($result['safe'], 'with nothing to hold it against');
    }

    public function test_heads_have_their_standards(): void
    {
        foreach (['cylinder' => 'ISO 4762', 'button' => 'ISO 7380', 'countersunk' => 'ISO 10642'] as $head => $standard) {
            self::assertSame($standard, $this->compute('fastener', ['diameter_mm' => 3, 'length_mm' => 10, 'head' => $head])['standard']);
        }
    }

    public function test_a_sixteen_for_a_twelve_goes_four_millimetres_further(): void
    {
        $case = ['diameter_mm' => 3, 'length_mm' => 16, 'replaces' => 'M3×12'];

        self::assertSame(
            [4.0, false],
            [$this->compute('fastener', $case)['further_mm'], $this->compute('fastener', $case)['safe']],
            'no room was named',
        );
        self::assertTrue($this->compute('fastener', $case + ['room_mm' => 5])['safe']);
        self::assertFalse($this->compute('fastener', $case + ['room_mm' => 3.9])['safe']);
    }

    /** @return iterable<string, array{array<string, mixed>, bool}> common practice: 1 d in metal, 2 d in plastic */
    public static function engagements(): iterable
    {
        yield '3 mm in metal' => [['into' => 'metal', 'engagement_mm' => 3], true];
        yield '2.9 mm in metal' => [['into' => 'metal', 'engagement_mm' => 2.9], false];
        yield '3 mm in plastic' => [['into' => 'plastic', 'engagement_mm' => 3], false];
        yield '6 mm in plastic' => [['into' => 'plastic', 'engagement_mm' => 6], true];
        yield 'two shorter, five held, in metal' => [
            ['into' => 'metal', 'engagement_mm' => 5, 'replaces' => 'M3x12', 'length_mm' => 10],
            true,
        ];
        yield 'two shorter, five held, in plastic' => [
            ['into' => 'plastic', 'engagement_mm' => 7, 'replaces' => 'M3x12', 'length_mm' => 10],
            false,
        ];
        yield 'shorter by an unknown hold' => [['replaces' => 'M3x12', 'length_mm' => 10], false];
        yield 'the same' => [['replaces' => 'M3 X 12', 'length_mm' => 12], true];
        yield 'another thread' => [['replaces' => 'M4x12', 'length_mm' => 12], false];
    }

    /** @param  array<string, mixed>  $case */
    #[DataProvider('engagements')]
    public function test_a_thread_must_hold(array $case, bool $safe): void
    {
        $result = $this->compute('fastener', $case + ['diameter_mm' => 3, 'length_mm' => 12]);

        self::assertSame([$safe, $safe ? 'ok' : 'out'], [$result['safe'], $result['verdict']]);
    }

    public function test_a_countersunk_head_replaces_none_but_its_own(): void
    {
        $safe = fn (?string $head, string $replaces): mixed => $this->compute(
            'fastener',
            ['diameter_mm' => 3, 'length_mm' => 12, 'head' => $head, 'replaces' => $replaces],
        )['safe'];

        self::assertFalse($safe('countersunk', 'M3×12'));
        self::assertFalse($safe('countersunk', 'M3×12 cylinder'));
        self::assertTrue($safe('countersunk', 'M3×12 countersunk'));
        self::assertTrue($safe('countersunk', 'M3×12 ISO 10642'));
        self::assertFalse($safe('cylinder', 'M3×12 countersunk'));
        self::assertFalse($safe(null, 'M3×12 countersunk'));
        self::assertTrue($safe('button', 'M3×12 cylinder'));
    }

    /**
     * @return iterable<string, array{float, float, string|null, string}> diameter, length, head, field refused: tables of ISO
     *   4762, 7380 and 10642 (from memory)
     */
    public static function notMade(): iterable
    {
        yield 'an M3 of 100 mm' => [3, 100, null, 'length_mm'];
        yield 'an M8 of 4 mm' => [8, 4, null, 'length_mm'];
        yield 'an M1.6 of 40 mm' => [1.6, 40, null, 'length_mm'];
        yield 'a button head of M2' => [2, 10, 'button', 'head'];
        yield 'a countersunk M1.6' => [1.6, 10, 'countersunk', 'head'];
        yield 'no preferred length' => [3, 14, 'cylinder', 'length_mm'];
    }

    #[DataProvider('notMade')]
    public function test_what_is_not_made_is_refused(float $diameter, float $length, ?string $head, string $field): void
    {
        $this->assertRefused('fastener', ['diameter_mm' => $diameter, 'length_mm' => $length, 'head' => $head], $field);
    }

    public function test_a_longer_one_than_the_table_is_sold_and_said_so(): void
    {
        self::assertFalse($this->compute('fastener', ['diameter_mm' => 3, 'length_mm' => 40])['in_standard']);
        self::assertTrue($this->compute('fastener', ['diameter_mm' => 3, 'length_mm' => 30])['in_standard']);
    }

    public function test_bad_input_is_refused_by_its_field(): void
    {
        $this->assertRefused('fastener', ['diameter_mm' => 3, 'length_mm' => 12, 'engagement_mm' => 13], 'engagement_mm');
        $this->assertRefused(
            'fastener',
            ['diameter_mm' => 3, 'length_mm' => 12, 'replaces' => 'M3×10', 'engagement_mm' => 11],
            'engagement_mm',
        );
        $this->assertRefused('fastener', ['length_mm' => 12], 'diameter_mm');
        $this->assertRefused('fastener', ['diameter_mm' => 3.5, 'length_mm' => 12], 'diameter_mm');
        $this->assertRefused('fastener', ['diameter_mm' => 3, 'length_mm' => 1200], 'length_mm');
        $this->assertRefused('fastener', ['diameter_mm' => 3, 'length_mm' => 14], 'length_mm');
        $this->assertRefused('fastener', ['diameter_mm' => 3, 'length_mm' => 12, 'head' => 'flat'], 'head');
        $this->assertRefused('fastener', ['diameter_mm' => 3, 'length_mm' => 12, 'replaces' => 'quarter inch'], 'replaces');
        $this->assertRefused('fastener', ['diameter_mm' => 3, 'length_mm' => 12, 'into' => 'cheese'], 'into');
    }
}
