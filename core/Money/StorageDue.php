<?php

declare(strict_types=1);

namespace OddBench\Money;

use DateTimeImmutable;
use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/** Storage of a machine that is ready and not fetched, from the day that was agreed. Whether it may be charged is for local law. */
final readonly class StorageDue implements Computation
{
    /** After so many days each a letter goes out (common practice). */
    public const LETTERS = [14, 30, 60];

    public const LAW = 'Whether and from when storage may be charged, and what may become of the machine, local law decides.';

    public function name(): string
    {
        return 'storage-due';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $owed = $this->judge(
            $fields->moment('ready_on'),
            $fields->moment('asked_on'),
            $fields->whole('free_days', ...Quantity::IdleDays->bounds()),
            $fields->whole('per_day', ...Quantity::PieceCost->bounds()),
            $fields->wholeOrNull('charged', ...Quantity::Sum->bounds()) ?? 0,
        );
        $fields->done();

        return ['days' => $owed->days, 'sum' => $owed->sum, 'storage' => $owed->storage, 'because' => "{$owed->because} ".self::LAW];
    }

    /**
     * @param  DateTimeImmutable  $readyOn  the day its owner was told
     * @param  int  $freeDays  that are free, as agreed
     * @param  int  $perDay  minor units for each day after them
     * @param  int  $charged  for the job
     *
     * @throws InputError when it is asked before it was ready
     */
    public function judge(DateTimeImmutable $readyOn, DateTimeImmutable $askedOn, int $freeDays, int $perDay, int $charged): StorageOwed
    {
        if ($askedOn < $readyOn) {
            throw InputError::at('asked_on', 'asked_on lies before ready_on: nothing is stored before it is ready.');
        }
        $stood = self::days($readyOn, $askedOn);
        $days = max(0, $stood - $freeDays);

        return new StorageOwed($days, $days * $perDay, $days * $perDay + $charged, sprintf(
            '%d %s since it was ready, %d of them free: %d at %s are %s, with the job %s.',
            $stood,
            $stood === 1 ? 'day' : 'days',
            min($stood, $freeDays),
            $days,
            Price::words($perDay),
            Price::words($days * $perDay),
            Price::words($days * $perDay + $charged),
        ));
    }

    /** Whole days from one to the other. */
    public static function days(DateTimeImmutable $from, DateTimeImmutable $to): int
    {
        return (int) $from->diff($to)->days;
    }
}
