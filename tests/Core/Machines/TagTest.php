<?php

declare(strict_types=1);

namespace Tests\Core\Machines;

use OddBench\Input\InputError;
use OddBench\Machines\Tag;
use PHPUnit\Framework\TestCase;
use Tests\Core\TradeKnowledge;

final class TagTest extends TestCase
{
    public function test_there_is_room_for_ten_thousand_machines_of_a_family_all_different(): void
    {
        $seen = [];
        for ($n = 0; $n < 10_000; $n++) {
            $seen[Tag::nth('TR', $n)->text()] = true;
        }

        self::assertCount(10_000, $seen);
        // labels are on machines: what was printed once stays what it is
        $printed = [['TR', 0, 'TR-222-R'], ['TR', 1, 'TR-223-K'], ['HR', 412, 'HR-2349-H'], ['KT', 9_999, 'KT-62326-W']];
        foreach ($printed as [$letters, $n, $text]) {
            self::assertSame($text, Tag::nth($letters, $n)->text());
        }
        self::assertLessThanOrEqual(10, strlen((string) array_key_last($seen)));
    }

    public function test_it_is_read_back_from_what_people_type(): void
    {
        $tag = Tag::nth('HR', 412)->text();

        foreach ([$tag, strtolower($tag), str_replace('-', '', $tag), str_replace('-', ' ', $tag), " {$tag} "] as $typed) {
            self::assertSame($tag, Tag::read($typed)->text());
            self::assertSame(['HR', '2349', 'H'], [Tag::read($typed)->family, Tag::read($typed)->number, Tag::read($typed)->check]);
        }
    }

    public function test_every_single_wrong_character_is_noticed(): void
    {
        $misread = 0;
        foreach ([0, 7, 342, 343, 999, 9_999] as $n) {
            $code = str_replace('-', '', Tag::nth('KT', $n)->text());
            for ($place = 0, $length = strlen($code); $place < $length; $place++) {
                foreach (str_split(ctype_digit($code[$place]) ? '2346789' : 'HKMRTWX') as $other) {
                    if ($other !== $code[$place]) {
                        $misread++;
                        self::assertFalse(
                            $this->isTag(substr_replace($code, $other, $place, 1)),
                            "{$code} misread at {$place} as {$other}",
                        );
                    }
                }
            }
        }
        self::assertGreaterThan(200, $misread);
    }

    public function test_every_two_neighbours_swapped_are_noticed(): void
    {
        for ($n = 0; $n < 500; $n++) {
            $code = str_replace('-', '', Tag::nth('WR', $n)->text());
            for ($place = 0; $place < strlen($code) - 1; $place++) {
                $swapped = $code;
                [$swapped[$place], $swapped[$place + 1]] = [$code[$place + 1], $code[$place]];
                self::assertTrue($swapped === $code || ! $this->isTag($swapped), "{$code} with {$place} and the next swapped");
            }
        }
    }

    public function test_none_of_its_characters_sounds_or_looks_like_another(): void
    {
        // one of each rhyme: B C D E G P T V Z; A H J K by their vowels differ; F L M N S X; I Y; Q U W; no 0 O, 1 I, 5 S, 8 B, 2 Z
        $used = count_chars(implode('', array_map(static fn (int $n): string => Tag::nth('TR', $n)->text(), range(0, 3000))), 3);

        self::assertSame('', implode('', array_intersect(str_split($used), str_split('015OILSZBGQUNVEPDCF'))));
    }

    public function test_families_of_the_knowledge_have_letters_a_tag_can_bear(): void
    {
        foreach (TradeKnowledge::read()->families as $family) {
            self::assertSame($family->letters, Tag::nth($family->letters, 0)->family);
        }
    }

    public function test_letters_outside_the_seven_are_refused(): void
    {
        $this->expectException(InputError::class);
        Tag::nth('TN', 0);
    }

    private function isTag(string $code): bool
    {
        try {
            Tag::read($code);

            return true;
        } catch (InputError) {
            return false;
        }
    }
}
