<?php

declare(strict_types=1);

namespace App\Fleet\Risks;

use OddBench\Fleet\ChangeCosts;
use OddBench\Fleet\NotCounted;
use OddBench\Fleet\PartRisk;
use OddBench\Fleet\Weibull;
use stdClass;

/** What was worked out of one part, read back. */
final readonly class RiskRow
{
    private function __construct(
        public int $machine,
        public string $tag,
        public string $family,
        public string $position,
        public string $class,
        public ?string $part,
        public ?float $age,
        public ?NotCounted $notCounted,
        public ?float $changeAt,
        public int $failures,
        public Weibull $life,
        public float $planned,
        public float $failure,
        public float $risk,
        public float $saves,
    ) {
    }

    /** @param  stdClass  $row  of position_risks with tag, family and number; risk and saves of the span */
    public static function of(stdClass $row): self
    {
        return new self(
            (int) $row->machine_id,
            (string) $row->tag,
            (string) $row->family,
            (string) $row->position,
            (string) $row->part_class,
            $row->number === null ? null : (string) $row->number,
            $row->age_h === null ? null : (float) $row->age_h,
            $row->not_counted === null ? null : NotCounted::from($row->not_counted),
            $row->change_at_h === null ? null : (float) $row->change_at_h,
            (int) $row->failures,
            Weibull::of((float) $row->shape, (float) $row->scale_h),
            (float) $row->planned_minor,
            (float) $row->failure_minor,
            (float) $row->risk,
            (float) $row->saves,
        );
    }

    /** Why it is, or is not, changed by the clock. */
    public function because(): string
    {
        return PartRisk::age($this->life, ChangeCosts::known($this->planned, $this->failure))->because();
    }
}
