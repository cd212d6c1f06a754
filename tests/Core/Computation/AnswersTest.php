<?php

declare(strict_types=1);

namespace Tests\Core\Computation;

use OddBench\Computation\Catalogue;
use OddBench\Computation\Examples;
use OddBench\Input\Contents;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\Diagnosis\SmallKnowledge;

/**
 * What each computation answers to its examples and to inputs beside them stands in answers/, and changes only on purpose:
 * ANSWERS=write writes it anew, and the difference is read before it is committed. Whether an answer is right is the business of
 * the tests of each computation; this one notices that a limit, a message or a figure moved that nobody meant to move.
 */
final class AnswersTest extends TestCase
{
    /** As many digits are the same on every machine. */
    private const DIGITS = 9;

    private const TRADE = 7;

    /** @return iterable<string, array{string, int}> name, seed of the made-up trade */
    public static function names(): iterable
    {
        foreach (Catalogue::of(self::knowledge(self::TRADE))->names() as $name) {
            yield $name => [$name, self::TRADE];
        }
        foreach ([11, 12, 13, 14] as $trade) {
            yield "diagnose in trade {$trade}" => ['diagnose', $trade];
        }
    }

    #[DataProvider('names')]
    public function test_answers_change_only_on_purpose(string $name, int $trade): void
    {
        $catalogue = Catalogue::of(self::knowledge($trade));
        $lines = [];
        foreach ([self::example($name), ...(MoreExamples::all()[$name] ?? [])] as $i => $example) {
            foreach (Neighbours::of($example) as $what => $input) {
                $lines[] = "{$i}: {$what}: ".self::answer($catalogue, $name, $input);
            }
        }
        foreach (MoreExamples::sweeps()[$name] ?? [] as $i => $input) {
            $lines[] = "sweep {$i}: ".self::answer($catalogue, $name, $input);
        }
        $file = __DIR__."/answers/{$name}".($trade === self::TRADE ? '' : "-{$trade}").'.txt';
        if (getenv('ANSWERS') === 'write') {
            file_put_contents($file, implode("\n", $lines)."\n");
        }
        self::assertSame(file($file, FILE_IGNORE_NEW_LINES), $lines);
    }

    /** The trade's own knowledge grows every week; this one is made up and stays. */
    private static function knowledge(int $seed): Knowledge
    {
        return SmallKnowledge::make(new Randomizer(new Mt19937($seed)), 5 + $seed, 9);
    }

    /** @return array<array-key, mixed> */
    private static function example(string $name): array
    {
        return match ($name) {
            'diagnose' => [
                'findings' => ['finding-1' => 'present', 'finding-4' => 'absent'],
                'history' => ['jobs' => 20, 'faults' => ['fault-2' => 2]],
                'school' => 'measure-first',
                'rates' => ['bench_minute' => 0.9],
                'untold' => 'weigh',
            ],
            'complaint' => ['text' => 'finding 3, and after an hour finding 5'],
            'proof-plan' => ['mended' => ['fault-1']],
            'steps-ahead' => ['mend' => ['fault-1'], 'owed' => [], 'people' => []] + Examples::all()['steps-ahead'],
            default => Examples::all()[$name],
        };
    }

    /** @param  array<array-key, mixed>  $input */
    private static function answer(Catalogue $catalogue, string $name, array $input): string
    {
        if (is_string($input['wav_file'] ?? null)) {
            $input['wav_file'] = Contents::text($input['wav_file']);
        }
        try {
            $answer = $catalogue->named($name)->compute($input);
        } catch (InputError $e) {
            return "refused at {$e->field}: ".mb_strcut($e->getMessage(), 0, 400);
        }
        $text = (string) json_encode(self::rounded($answer), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);

        return substr(sha1($text), 0, 12).' '.mb_strcut($text, 0, 160);
    }

    private static function rounded(mixed $value): mixed
    {
        return match (true) {
            is_array($value) => array_map(self::rounded(...), $value),
            is_float($value) => (float) sprintf('%.'.(self::DIGITS - 1).'e', $value),
            default => $value,
        };
    }
}
