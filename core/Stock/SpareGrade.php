<?php

declare(strict_types=1);

namespace OddBench\Stock;

use OddBench\Input\InputError;

/** How far a spare can be trusted. */
enum SpareGrade: string
{
    case New = 'new';
    case Tested = 'tested';
    case Untested = 'untested';

    /** The grade as a person says it. */
    public function words(): string
    {
        return match ($this) {
            self::New => 'new',
            self::Tested => 'used, tested',
            self::Untested => 'used, untested',
        };
    }

    /** Whether a job may count on it. */
    public function counts(): bool
    {
        return $this !== self::Untested;
    }

    /** @return list<string> the grades a job may count on */
    public static function counted(): array
    {
        return array_column(array_filter(self::cases(), static fn (self $g): bool => $g->counts()), 'value');
    }

    /** The number a used one is kept under, beside the number of the new part. */
    public function numberOf(string $number): string
    {
        return match ($this) {
            self::New => $number,
            self::Tested => "{$number}.T",
            self::Untested => "{$number}.U",
        };
    }

    /**
     * What a part out of a used machine may be called.
     *
     * @param  string|null  $how  how it was tested
     * @param  bool  $tagged  a red tag is on the machine
     *
     * @throws InputError when it would be called tested and nobody says how, or the machine is dangerous
     */
    public static function taken(string $grade, ?string $how, bool $tagged): self
    {
        $as = match ($grade) {
            'tested' => self::Tested,
            'untested' => self::Untested,
            default => throw InputError::at('grade', 'A used part is tested or untested; say which.'),
        };
        if ($as === self::Tested && ($how === null || mb_strlen($how) < 3)) {
            throw InputError::at('note', 'Say how it was tested, so that the next one can trust it.');
        }
        if ($as === self::Tested && $tagged) {
            throw InputError::at(
                'grade',
                'A red tag is on this machine: what comes out of it is untested until it was tested in another one.',
            );
        }

        return $as;
    }
}
