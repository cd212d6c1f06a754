<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

use App\Machines\Machine;
use App\Machines\Place;
use App\Stock\Batches\BatchMachines;
use App\Stock\Parts\Part;
use Illuminate\Database\Eloquent\Builder;
use OddBench\Input\InputError;
use OddBench\Knowledge\Family;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Position;

/** Finds the machines a campaign is about. */
final readonly class WhoQuery
{
    /** With what it has run since its counter was read. */
    private const HOURS_NOW = 'coalesce((SELECT k.hours FROM machine_risks k WHERE k.machine_id = machines.id), machines.hours)';

    public function __construct(private Knowledge $knowledge)
    {
    }

    /**
     * @return Builder<Machine>
     *
     * @throws InputError for what nobody knows
     */
    public function of(Who $who): Builder
    {
        if ($who->saysNothing()) {
            throw InputError::at('who', 'Which machines? Say at least one thing: a family, a part, a batch, hours, a place.');
        }
        if ($who->batch !== null && $who->part === null) {
            throw InputError::at('who.part', 'A batch of which part? Give its number.');
        }
        if ($who->hoursFrom !== null && $who->hoursTo !== null && $who->hoursFrom > $who->hoursTo) {
            throw InputError::at('who.hoursTo', 'Hours run backwards: the second must not be less than the first.');
        }
        /** @var Builder<Machine> $machines */
        $machines = Machine::query()->whereNotIn('place', Place::gone())
            ->when($who->families !== [], fn ($q) => $q->whereIn('family', $this->known($who->families)))
            ->when($who->class !== null, fn ($q) => $q->whereIn('family', $this->having((string) $who->class)))
            ->when($who->heldAs !== null, static fn ($q) => $q->where('held_as', $who->heldAs))
            ->when($who->place !== null, static fn ($q) => $q->where('place', $who->place))
            ->when($who->hoursFrom !== null, static fn ($q) => $q->whereRaw(self::HOURS_NOW.' >= ?', [$who->hoursFrom]))
            ->when($who->hoursTo !== null, static fn ($q) => $q->whereRaw(self::HOURS_NOW.' <= ?', [$who->hoursTo]))
            ->when($who->rack !== null, static fn ($q) => $q->whereIn(
                'id',
                static fn ($in) => $in->from('rack_places')->where('rack_id', $who->rack)->select('machine_id'),
            ));

        return $who->part === null ? $machines : $this->withPart($machines, $who->part, $who->batch);
    }

    /**
     * @param  Builder<Machine>  $machines
     * @return Builder<Machine>
     */
    private function withPart(Builder $machines, string $number, ?string $batch): Builder
    {
        $part = Part::query()->where('number', $number)->first() ?? throw InputError::at('who.part', "There is no part {$number}.");
        if ($batch !== null) {
            return $machines->whereIntegerInRaw('id', BatchMachines::of($part, $batch));
        }
        $all = Part::query()->where('used_of_id', $part->id)->pluck('id')->push($part->id);

        return $machines->whereIn(
            'id',
            static fn ($in) => $in->from('fittings')->whereIn('part_id', $all)->whereNull('removed_at')->select('machine_id'),
        );
    }

    /**
     * @param  list<string>  $families
     * @return list<string>
     */
    private function known(array $families): array
    {
        foreach ($families as $i => $family) {
            $this->knowledge->family($family, "who.families.{$i}");
        }

        return $families;
    }

    /** @return list<string> families that have such a part */
    private function having(string $class): array
    {
        if (! isset($this->knowledge->partClasses[$class])) {
            throw InputError::unknown('who.class', 'class of part', $class, array_keys($this->knowledge->partClasses));
        }

        return array_keys(array_filter($this->knowledge->families, static fn (Family $f): bool => in_array(
            $class,
            array_map(static fn (Position $p): string => $p->partClass, $f->positions),
            true,
        )));
    }
}
