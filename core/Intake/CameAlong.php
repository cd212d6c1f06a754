<?php

declare(strict_types=1);

namespace OddBench\Intake;

use OddBench\Input\InputError;

/** Something that came along with a machine, and how many of it went back. */
final readonly class CameAlong
{
    public const MOST = 99;

    /**
     * @param  int  $came  1 to 99
     * @param  int  $went  0 to as many as came
     * @param  string|null  $staysBecause  why what did not go back stays here, agreed with its owner
     *
     * @throws InputError when more goes out than came in
     */
    public function __construct(public string $name, public int $came, public int $went, public ?string $staysBecause)
    {
        if ($came < 1 || $came > self::MOST) {
            throw InputError::at('came', "{$name}: 1 to ".self::MOST.' can have come along.');
        }
        if ($went < 0 || $went > $came) {
            throw InputError::at('went', "{$name}: {$came} came in, so 0 to {$came} can go out.");
        }
    }

    /** Why a machine does not leave yet, in words; null when all of it went back or stays by agreement. */
    public function isMissing(): ?string
    {
        if ($this->went === $this->came || $this->staysBecause !== null) {
            return null;
        }

        return $this->came === 1 ? "{$this->name} in, not out." : "{$this->name}: {$this->came} in, {$this->went} out.";
    }
}
