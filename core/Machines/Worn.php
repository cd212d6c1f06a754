<?php

declare(strict_types=1);

namespace OddBench\Machines;

/** How far a part is in its usual life (common practice: look at it in the last quarter, expect anything after it). */
enum Worn: string
{
    case Well = 'well';
    case Soon = 'soon';
    case Past = 'past';

    /** Hours do not wear it, or are not known. */
    case Unknown = 'unknown';

    /** The share of its life at which the last quarter begins. */
    private const SOON = 0.75;

    /**
     * @param  float|null  $hours  it has run, 0 and up; null when not known
     * @param  float|null  $lifeHours  it usually lasts, above 0; null where hours do not wear it
     */
    public static function of(?float $hours, ?float $lifeHours): self
    {
        $share = self::share($hours, $lifeHours);

        return match (true) {
            $share === null => self::Unknown,
            $share >= 1 => self::Past,
            $share >= self::SOON => self::Soon,
            default => self::Well,
        };
    }

    /** Of its usual life, 0 and up, past 1 when it has outlived it; null when that cannot be said. */
    public static function share(?float $hours, ?float $lifeHours): ?float
    {
        return $hours === null || $lifeHours === null || $lifeHours <= 0.0 ? null : $hours / $lifeHours;
    }
}
