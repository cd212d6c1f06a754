<?php

declare(strict_types=1);

namespace OddBench\Safety;

use OddBench\Input\InputError;

/** What it takes to take a red tag off: the mended cause, a measurement and a second person’s signature. */
final readonly class TagOff
{
    private function __construct(public string $cause, public string $measurement)
    {
    }

    /**
     * The first signature, by whoever did the work.
     *
     * @throws InputError when cause or measurement are missing or hold no figure
     */
    public static function asked(string $cause, string $measurement): self
    {
        if (mb_strlen(trim($cause)) < 3) {
            throw InputError::at('cause', 'Say what was the cause and how it was mended.');
        }
        if (preg_match('/\d/', $measurement) !== 1) {
            throw InputError::at(
                'measurement',
                'Give the measurement that shows it is safe, with its figure and unit, such as “0.2 Ω from plug to frame”.',
            );
        }

        return new self(trim($cause), trim($measurement));
    }

    /**
     * The second signature.
     *
     * @throws InputError when the same person signs twice, or the second is no lead
     */
    public static function mayCountersign(bool $isLead, bool $samePerson): void
    {
        if (! $isLead) {
            throw InputError::at('signature', 'The second signature is a lead’s.');
        }
        if ($samePerson) {
            throw InputError::at('signature', 'The second signature is another person’s: you asked for it yourself.');
        }
    }
}
