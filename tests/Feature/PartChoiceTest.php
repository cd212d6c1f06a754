<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Repair\Service\PlannedChange;
use App\Stock\Orders\NoteSupply;
use App\Stock\Orders\PlannedUse;
use App\Stock\Orders\Supplier;
use App\Stock\Parts\AddUsedPart;
use App\Stock\Parts\ClassCosts;
use App\Stock\Parts\Part;
use App\Stock\Parts\PartChoice;
use App\Stock\Shelf\MoveStock;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;
use OddBench\Stock\SpareGrade;

/** Which part of a class a family is given, what one of a class costs, and what open jobs are still to take. */
final class PartChoiceTest extends FarmTestCase
{
    public function test_the_one_it_got_most_often_that_fits_and_may_be_counted_on(): void
    {
        $often = [];
        // the first four it got most often cannot be given; the fifth can
        foreach ([
            'FAN-1' => null,
            'FAN-2' => ['fits' => ['families' => ['heron-cx']]],
            'FAN-3' => ['fits' => ['families' => ['heron-cx']]],
            'FAN-4' => ['fits' => ['families' => ['heron-cx']]],
            'FAN-5' => [],
            'FAN-6' => [],
        ] as $number => $with) {
            $part = $this->part(1, 'heat-break-fan', $number);
            // the first is a used one nobody has tested
            $with === null ? $part = $this->app->make(AddUsedPart::class)->add($part, SpareGrade::Untested) : $part->update($with);
            PartChoice::used('tern-220', $part, 9 - count($often));
            $often[] = $part;
        }
        self::assertSame('FAN-5', $this->best('tern-220'));
        Part::query()->where('number', 'FAN-3')->update(['on_hand' => 99]);
        self::assertSame('FAN-3', $this->best('heron-cx'), 'it got none: what there is most of');

        // one that is bought no more is given while it lasts
        $often[4]->update(['successor_id' => $often[5]->id]);
        self::assertSame('FAN-5', $this->best('tern-220'));
        $often[4]->update(['on_hand' => 0]);
        self::assertSame('FAN-6', $this->best('tern-220'));
    }

    public function test_what_counts_with_another_is_never_chosen_itself(): void
    {
        [$new, $old] = [$this->part(0, 'heat-break-fan', 'FAN-N'), $this->part(9, 'heat-break-fan', 'FAN-O')];
        $old->update(['counts_with_id' => $new->id]);
        PartChoice::used('tern-220', $old, 20);

        self::assertSame('FAN-N', $this->best('tern-220'));
    }

    public function test_of_many_families_and_classes_each_gets_its_own_in_a_handful_of_questions(): void
    {
        foreach (['tern-220' => 'A', 'heron-cx' => 'B', 'bittern-ht' => 'C'] as $family => $letter) {
            foreach (['heat-break-fan', 'liner', 'nozzle'] as $class) {
                PartChoice::used($family, $this->part(1, $class, strtoupper(substr($class, 0, 3))."-{$letter}"), 3);
            }
        }
        $wanted = array_fill_keys(['tern-220', 'heron-cx', 'bittern-ht'], ['heat-break-fan', 'liner', 'nozzle', 'belt']);
        $knowledge = $this->app->make(Knowledge::class);
        DB::enableQueryLog();
        DB::flushQueryLog();
        $best = PartChoice::best($wanted, $knowledge);
        self::assertLessThanOrEqual(5, count(DB::getQueryLog()));
        DB::disableQueryLog();

        self::assertSame(
            ['HEA-B', 'LIN-B', 'NOZ-B'],
            array_map(static fn (Part $p): string => $p->number, array_values($best['heron-cx'])),
        );
        self::assertSame('NOZ-C', $best['bittern-ht']['nozzle']->number);
        self::assertArrayNotHasKey('belt', $best['tern-220'], 'there is none');
        self::assertSame([], PartChoice::best([], $this->app->make(Knowledge::class)));
    }

    public function test_what_one_of_a_class_costs_by_what_lies_there_then_what_was_paid_then_the_cheapest_offer(): void
    {
        $costs = fn (): array => $this->app->make(ClassCosts::class)->all();
        $stock = $this->app->make(MoveStock::class);
        $part = $this->part(0, 'heat-break-fan', 'FAN-1');
        [$quick, $slow] = [
            Supplier::query()->create(['name' => 'Marram Motion', 'lead_days' => 4]),
            Supplier::query()->create(['name' => 'Saltworks', 'lead_days' => 12]),
        ];
        self::assertArrayNotHasKey('heat-break-fan', $costs()['costs']);

        $this->app->make(NoteSupply::class)->note($part, $slow, 'S1', 10, 3000);
        $this->app->make(NoteSupply::class)->note($part, $quick, 'M1', 4, 1600);
        self::assertSame(
            [300.0, 4.0],
            [$costs()['costs']['heat-break-fan'], $costs()['waiting']['heat-break-fan']],
            'cheapest, and quickest',
        );

        $stock->receive($part, 2, 500, null, $this->lead);
        $stock->receive($part, 2, 700, null, $this->lead);
        self::assertSame([600.0, true], [$costs()['costs']['heat-break-fan'], in_array('heat-break-fan', $costs()['on_shelf'], true)]);
        self::assertArrayNotHasKey('heat-break-fan', $costs()['waiting']);

        Part::query()->whereKey($part->id)->update(['on_hand' => 0, 'value_minor' => 0]);
        self::assertSame([700.0, 4.0], [$costs()['costs']['heat-break-fan'], $costs()['waiting']['heat-break-fan']], 'what was paid last');
    }

    public function test_only_jobs_with_something_ahead_take_anything(): void
    {
        $this->part(2, 'heat-break-fan', 'FAN-1');
        $liner = $this->part(2);
        $this->job();
        self::assertSame([], $this->planned(), 'nothing is found yet');

        $found = $this->job();
        $this->atFix($found);
        self::assertSame([$liner->id => ['count' => 1, 'tags' => [$found->machine->tag]]], $this->planned());
        DB::table('diagnoses')->where('job_id', $found->id)->update(['superseded_at' => now()]);
        self::assertSame([], $this->planned());

        $service = $this->job();
        PlannedChange::query()->create(['job_id' => $service->id, 'position' => 'liner', 'part_class' => 'liner', 'guide' => null]);
        self::assertSame([$liner->id => ['count' => 1, 'tags' => [$service->machine->tag]]], $this->planned());
        DB::table('jobs')->where('id', $service->id)->update(['finished_at' => now()]);
        self::assertSame([], $this->planned(), 'that is over');
    }

    /**
     * @return array<int, array{count: int, tags: list<string>}>
     *
     * @phpstan-impure
     */
    private function planned(): array
    {
        return $this->app->make(PlannedUse::class)->all();
    }

    private function best(string $family): ?string
    {
        $best = PartChoice::best([$family => ['heat-break-fan']], $this->app->make(Knowledge::class));

        return ($best[$family]['heat-break-fan'] ?? null)?->number;
    }
}
