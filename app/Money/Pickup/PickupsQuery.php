<?php

declare(strict_types=1);

namespace App\Money\Pickup;

use App\Intake\Job;
use App\Money\Charges\Bill;
use App\Shop\Setting;
use App\Shop\ShopDay;
use DateTimeImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;
use OddBench\Money\Price;
use OddBench\Money\StorageDue;

/** Machines that are ready and not fetched, with the letter that is due and what storage comes to. */
final readonly class PickupsQuery
{
    public function __construct(private Knowledge $knowledge, private ShopDay $day)
    {
    }

    public function all(): NotFetchedView
    {
        $pickups = $this->open()->orderBy('ready_on')->orderBy('job_id')->get();
        $untold = Job::query()->with('machine.owner')
            ->where('station', Station::Release->value)
            ->whereNull('finished_at')
            ->whereHas('machine', static fn ($q) => $q->where('held_as', 'owner'))
            ->whereNotIn('id', Pickup::query()->select('job_id'))
            ->orderBy('station_since')
            ->get();

        return new NotFetchedView(
            $this->views($pickups),
            array_values($untold->map(fn (Job $job): UntoldView => new UntoldView(
                $job->id,
                $job->machine->tag,
                $this->knowledge->familyName($job->machine->family),
                $job->machine->owner?->name,
                $job->station_since->toIso8601String(),
            ))->all()),
            StorageDue::LAW,
        );
    }

    public function ofJob(int $job): ?PickupView
    {
        return $this->views($this->open()->where('job_id', $job)->get())[0] ?? null;
    }

    /** How many letters are due today. */
    public function lettersDue(): int
    {
        return count(array_filter(
            $this->views($this->open()->get()),
            static fn (PickupView $p): bool => $p->letterDue !== null,
        ));
    }

    /** @return Builder<Pickup> */
    private function open(): Builder
    {
        return Pickup::query()->with('job.machine.owner')->whereHas('job', static fn ($q) => $q->whereNull('finished_at'));
    }

    /**
     * @param  Collection<int, Pickup>  $pickups
     * @return list<PickupView>
     */
    private function views(Collection $pickups): array
    {
        if ($pickups->isEmpty()) {
            return [];
        }
        $ids = $pickups->pluck('job_id');
        $bills = Bill::query()->whereIn('job_id', $ids)->pluck('gross_minor', 'job_id');
        $went = DB::table('reminders')->whereIn('job_id', $ids)->get()->groupBy('job_id');

        return array_values($pickups->map(function (Pickup $pickup) use ($bills, $went): PickupView {
            $today = $this->day->today();
            $charged = $bills->get($pickup->job_id);
            $owed = $pickup->owed($today, (int) $charged);
            $stood = StorageDue::days(
                new DateTimeImmutable($pickup->ready_on->toDateString()),
                new DateTimeImmutable(max($today, $pickup->ready_on->toDateString())),
            );
            $sent = ($went->get($pickup->job_id) ?? collect())->keyBy('after_days');
            $letters = array_map(fn (int $days): LetterView => new LetterView(
                $days,
                $sent->has($days) ? Carbon::parse((string) $sent[$days]->at)->toIso8601String() : null,
                $this->letter($pickup, $days),
            ), StorageDue::LETTERS);
            $due = array_values(array_filter($letters, static fn (LetterView $l): bool => $l->at === null && $l->afterDays <= $stood));

            return new PickupView(
                $pickup->job_id,
                $pickup->job->machine->tag,
                $this->knowledge->familyName($pickup->job->machine->family),
                $pickup->job->machine->owner?->name,
                $pickup->job->machine->owner?->contact,
                $pickup->ready_on->toDateString(),
                $stood,
                $pickup->free_days,
                $pickup->per_day_minor,
                $owed->storage,
                $charged === null ? null : (int) $charged,
                $owed->sum,
                $letters,
                $due === [] ? null : $due[count($due) - 1]->afterDays,
                $owed->because,
                StorageDue::LAW,
            );
        })->all());
    }

    private function letter(Pickup $pickup, int $days): string
    {
        $from = $pickup->ready_on->copy()->addDays($pickup->free_days)->format('j F Y');

        return implode("\n\n", [
            "Your {$this->knowledge->familyName($pickup->job->machine->family)}, tag {$pickup->job->machine->tag}, has been ready since "
                .$pickup->ready_on->format('j F Y').'. Please fetch it.',
            sprintf(
                'As agreed it stands here for nothing until %s; from then on each day costs %s %s.',
                $from,
                Price::words($pickup->per_day_minor),
                Setting::text('currency'),
            ),
            $days >= 60
                ? 'If we do not hear from you, we shall do with it what the law allows. Please write or call before that.'
                : 'If you cannot come, please write or call.',
            Setting::text('shop_name'),
        ]);
    }
}
