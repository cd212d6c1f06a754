<?php

declare(strict_types=1);

namespace App\Money\Claims;

use App\Money\Terms\PriceList;
use App\Shop\ShopDay;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;
use OddBench\Money\ClaimChance;
use OddBench\Money\ClaimValue;

/** Claims and whether to wait for them: chances learned of each counterpart, days stood for against what it is worth. */
final readonly class ClaimsQuery
{
    private const CLOSED = 40;

    /** A deadline this near is said. */
    private const NEAR_DAYS = 14;

    public function __construct(private Knowledge $knowledge, private ShopDay $day)
    {
    }

    public function all(): ClaimsView
    {
        $with = ['machine', 'job', 'said.person', 'person'];
        $open = Claim::query()->with($with)->where('state', 'open')->orderBy('id')->get();
        $closed = Claim::query()->with($with)->where('state', '<>', 'open')->orderByDesc('closed_at')->limit(self::CLOSED)->get();
        $answered = $this->answered();
        $show = fn (Claim $claim): ClaimView => $this->view($claim, $answered);

        return new ClaimsView(
            array_values($open->map($show)
                ->sortBy([static fn (ClaimView $a, ClaimView $b): int => [$b->mend, $b->due, $a->id] <=> [$a->mend, $a->due, $b->id]])
                ->all()),
            array_values($closed->map($show)->all()),
        );
    }

    /** How many open ones are rather mended than waited for. */
    public function toMend(): int
    {
        $answered = $this->answered();

        return Claim::query()->with(['machine', 'job', 'said.person', 'person'])
            ->where('state', 'open')
            ->get()
            ->filter(fn (Claim $claim): bool => $this->view($claim, $answered)->mend)
            ->count();
    }

    /** @return Collection<string, object> against => how many were met and not */
    private function answered(): Collection
    {
        return DB::table('claims')->whereIn('state', ['won', 'partly', 'lost'])
            ->selectRaw("against, count(*) FILTER (WHERE state <> 'lost') AS won, count(*) FILTER (WHERE state = 'lost') AS lost")
            ->groupBy('against')
            ->get()
            ->keyBy('against');
    }

    /** @param  Collection<string, object>  $answered */
    private function view(Claim $claim, Collection $answered): ClaimView
    {
        $before = $answered->get($claim->against);
        [$won, $lost] = [(int) ($before->won ?? 0), (int) ($before->lost ?? 0)];
        // by the shop's calendar: what was said this morning is not half a day of silence by the evening
        $heard = $claim->said->where('said_by', 'they')->max('said_on')?->toDateString() ?? $this->day->of($claim->at);
        $silent = max(0.0, Carbon::parse($heard)->diffInDays(Carbon::parse($this->day->today()), false));
        $chance = ClaimChance::of($won, $lost, $silent);
        $job = $claim->job;
        $idle = $job !== null && $job->isOpen() && $job->waits_for === 'claim'
            ? max(0.0, ($job->waits_since ?? $claim->at)->diffInDays(now(), false))
            : 0.0;
        $terms = PriceList::read();
        $open = $claim->state === 'open';
        $judged = $open ? (new ClaimValue)->judge($chance, $claim->worth_minor, $claim->effort_minor, $idle, $terms->idleDayMinor) : null;
        $parts = $claim->claims === 'part' && $terms->partsClaims;
        $today = $this->day->today();

        return new ClaimView(
            $claim->id,
            $claim->machine->tag,
            $this->knowledge->familyName($claim->machine->family),
            $claim->job_id,
            $claim->against,
            $claim->against_is,
            $claim->claims,
            $claim->what,
            $claim->worth_minor,
            $claim->effort_minor,
            $claim->deadline?->toDateString(),
            $claim->next_on?->toDateString(),
            $open && (($claim->next_on !== null && $claim->next_on->toDateString() <= $today)
                || ($claim->deadline !== null && $claim->deadline->copy()->subDays(self::NEAR_DAYS)->toDateString() <= $today)),
            $claim->video,
            array_map(static fn (array $p): string => $p['words'], $claim->proof),
            array_values($claim->said->map(static fn (ClaimWord $w): ClaimWordView => new ClaimWordView(
                $w->said_by,
                $w->text,
                $w->said_on->toDateString(),
                $w->person->name,
            ))->all()),
            $claim->state,
            $claim->got_minor,
            $claim->at->toIso8601String(),
            $claim->closed_at?->toIso8601String(),
            $open ? round($chance, 4) : null,
            $open ? sprintf(
                '%d met, %d not before%s; a chance falls by half for each silent fortnight (common practice).',
                $won,
                $lost,
                $silent < 1 ? '' : sprintf(', silent for %d days', (int) $silent),
            ) : null,
            $judged?->wait,
            $judged?->mendNow,
            $open ? round($idle, 1) : null,
            $judged?->breaksEvenDays === null ? null : round($judged->breaksEvenDays, 1),
            $judged !== null && $idle >= 1 && $judged->mend,
            match (true) {
                $judged === null => ucfirst($claim->state),
                $idle < 1 => $parts ? 'Only a part is claimed, which we fit ourselves: nothing waits for it.' : 'Nothing waits for it.',
                default => str_replace('waiting costs', 'waiting has cost', $judged->because),
            },
        );
    }
}
