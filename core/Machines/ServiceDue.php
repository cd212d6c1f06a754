<?php

declare(strict_types=1);

namespace OddBench\Machines;

use OddBench\Knowledge\ServiceItem;

/** When work that comes round is due: by hours or by the calendar, whichever is first. */
final readonly class ServiceDue
{
    /** Mean days of a month. */
    private const MONTH = 30.44;

    /** Over this share of the way it is announced. */
    private const SOON = 0.9;

    /**
     * @param  float|null  $hoursLeft  print hours until it is due, below zero when it is over
     * @param  float|null  $daysLeft  days until it is due, below zero when it is over
     * @param  float  $share  how much of the way is gone, over 1 when it is over
     * @param  bool  $everDone  it was noted as done here before
     * @param  float|null  $perWeek  hours it runs in a week, where its hours are estimated by that; null where they were read
     */
    private function __construct(
        public ServiceItem $item,
        public ?float $hoursLeft,
        public ?float $daysLeft,
        public float $share,
        public bool $everDone,
        public ?float $perWeek = null,
    ) {
    }

    /**
     * @param  float|null  $hoursSince  print hours since it was done last, or since the machine was new; nothing when not known
     * @param  float|null  $daysSince  days since it was done last, or since the machine is known
     * @param  bool  $everDone  it was noted as done before
     * @param  float|null  $perWeek  hours it runs in a week, where the hours since are estimated by that; null where they were read
     */
    public static function of(
        ServiceItem $item,
        ?float $hoursSince,
        ?float $daysSince,
        bool $everDone = true,
        ?float $perWeek = null,
    ): self {
        $hours = $item->everyHours === null || $hoursSince === null ? null : $item->everyHours - $hoursSince;
        $days = $item->everyMonths === null || $daysSince === null ? null : $item->everyMonths * self::MONTH - $daysSince;
        $shares = [0.0];
        if ($hours !== null) {
            $shares[] = 1 - $hours / (float) $item->everyHours;
        }
        if ($days !== null) {
            $shares[] = 1 - $days / ((float) $item->everyMonths * self::MONTH);
        }

        return new self($item, $hours, $days, max($shares), $everDone, $perWeek);
    }

    /** Whether all of the interval is gone. */
    public function due(): bool
    {
        return $this->share >= 1.0;
    }

    /** Whether nearly all of it is gone. */
    public function soon(): bool
    {
        return $this->share >= self::SOON;
    }

    /** Such as “120 h over”, “in 80 h”, “in 2 months”. */
    public function words(): string
    {
        if (! $this->everDone && $this->due()) {
            return 'never noted here';
        }
        $said = [];
        if ($this->hoursLeft !== null) {
            $said[] = [
                1 - $this->hoursLeft / (float) $this->item->everyHours,
                $this->byHours($this->hoursLeft),
            ];
        }
        if ($this->daysLeft !== null) {
            $said[] = [
                1 - $this->daysLeft / ((float) $this->item->everyMonths * self::MONTH),
                $this->daysLeft <= 0 ? self::span(-$this->daysLeft).' over' : 'in '.self::span($this->daysLeft),
            ];
        }
        usort($said, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return $said[0][1] ?? 'not known';
    }

    private function byHours(float $left): string
    {
        $about = $this->perWeek === null ? '' : 'about ';
        if ($left <= 0) {
            return $about.round(-$left).' h over';
        }
        $days = $this->perWeek === null || $this->perWeek <= 0.0 ? null : 7 * $left / $this->perWeek;

        return "in {$about}".round($left).' h'.($days === null ? '' : ', '.self::span($days));
    }

    private static function span(float $days): string
    {
        $months = (int) round($days / self::MONTH);

        return $days < 10 ? self::few($days) : ($days < 45 ? round($days).' days' : "{$months} months");
    }

    /** Of a few days half a one is worth saying. */
    private static function few(float $days): string
    {
        $half = round(2 * $days) / 2;

        return $half.($half === 1.0 ? ' day' : ' days');
    }
}
