<?php

declare(strict_types=1);

namespace App\Fleet\Risks;

use App\Shop\Ability;
use Illuminate\Support\Facades\Gate;
use OddBench\Knowledge\Knowledge;
use OddBench\Money\Exact;

/** Shows parts that may fail; what they cost only to those who see money. */
final readonly class PartRisks
{
    /**
     * @param  array<string, array<string, int>>  $free  family => class => free on the shelf
     * @param  array<string, true>  $planned  “machine position” => a job is to change it
     */
    public function __construct(private Knowledge $knowledge, private Costs $costs, private array $free, private array $planned)
    {
    }

    public function view(RiskRow $row): PartRiskView
    {
        $money = Gate::allows(Ability::SeeMoney);

        return new PartRiskView(
            tag: $row->tag,
            position: $row->position,
            name: $this->knowledge->positionName($row->family, $row->position),
            partClass: $row->class,
            part: $row->part,
            ageHours: $row->age,
            risk: $row->risk,
            changeAtHours: $row->changeAt,
            failures: $row->failures,
            because: $row->because(),
            savesMinor: $money ? Exact::whole($row->saves) : null,
            plannedMinor: $money ? Exact::whole($row->planned) : null,
            failureMinor: $money ? Exact::whole($row->failure) : null,
            guide: $this->costs->work($row->family, $row->class)->guide,
            free: $this->free[$row->family][$row->class] ?? 0,
            planned: isset($this->planned["{$row->machine} {$row->position}"]),
        );
    }
}
