<?php

declare(strict_types=1);

namespace OddBench\Computation;

use OddBench\Diagnosis\Complaint;
use OddBench\Diagnosis\Diagnose;
use OddBench\Diagnosis\Trials;
use OddBench\Fleet\Campaign;
use OddBench\Fleet\FailureRisk;
use OddBench\Fleet\PlannedChange;
use OddBench\Fleet\SparesForecast;
use OddBench\Fleet\Trend;
use OddBench\Fleet\WearLife;
use OddBench\Input\InputError;
use OddBench\Instruments\BedPlane;
use OddBench\Instruments\BeltTension;
use OddBench\Instruments\ContactResistance;
use OddBench\Instruments\Fastener;
use OddBench\Instruments\Filament;
use OddBench\Instruments\FirstLayer;
use OddBench\Instruments\FlexSlab;
use OddBench\Instruments\Gcode;
use OddBench\Instruments\Heater;
use OddBench\Instruments\PluckFrequency;
use OddBench\Instruments\RelayTune;
use OddBench\Instruments\RunawayTest;
use OddBench\Instruments\Squareness;
use OddBench\Instruments\Steps;
use OddBench\Instruments\ThermalLog;
use OddBench\Instruments\Thermistor;
use OddBench\Instruments\Wire;
use OddBench\Knowledge\Knowledge;
use OddBench\Machines\HoursNow;
use OddBench\Money\BidCap;
use OddBench\Money\Charge;
use OddBench\Money\ClaimValue;
use OddBench\Money\CostSplit;
use OddBench\Money\Estimate;
use OddBench\Money\RepairValue;
use OddBench\Money\StorageDue;
use OddBench\Plan\BenchPlan;
use OddBench\Plan\PromiseDate;
use OddBench\Plan\StepsAhead;
use OddBench\Proof\ProofPlan;
use OddBench\Repair\Teardown;
use OddBench\Stock\KitCheck;
use OddBench\Stock\Reorder;

/** Every computation by its name. */
final readonly class Catalogue
{
    /** @param  array<string, Computation>  $computations */
    private function __construct(private array $computations)
    {
    }

    /** All of them; those of the trade read this knowledge. */
    public static function of(Knowledge $knowledge): self
    {
        $computations = [];
        foreach ([
            new Diagnose($knowledge),
            new Complaint($knowledge),
            new ProofPlan($knowledge),
            new Trials,
            new Teardown,
            new KitCheck,
            new Reorder,
            new HoursNow,
            new Estimate,
            new Charge,
            new RepairValue,
            new BidCap,
            new CostSplit,
            new ClaimValue,
            new StorageDue,
            new WearLife,
            new FailureRisk,
            new PlannedChange,
            new SparesForecast,
            new Campaign,
            new Trend,
            new BenchPlan,
            new PromiseDate,
            new StepsAhead($knowledge),
            ...self::instruments(),
        ] as $computation) {
            $computations[$computation->name()] = $computation;
        }
        ksort($computations);

        return new self($computations);
    }

    /** @return list<Computation> */
    public static function instruments(): array
    {
        return [
            new BeltTension, new PluckFrequency, new Thermistor, new Heater, new ContactResistance, new Wire, new BedPlane, new Squareness,
            new Steps, new Filament, new FirstLayer, new ThermalLog, new RelayTune, new RunawayTest, new Gcode, new FlexSlab, new Fastener,
        ];
    }

    /** @throws InputError when there is none of that name */
    public function named(string $name): Computation
    {
        return $this->computations[$name] ?? throw InputError::unknown('name', 'computation', $name, $this->names());
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_keys($this->computations);
    }
}
