<?php

declare(strict_types=1);

namespace App\Money\Messages;

use App\Intake\Job;
use App\Machines\Owners\Owner;
use App\Machines\Owners\SaysToOwner;
use App\Machines\Owners\ToldLine;
use App\Money\Charges\Bill;
use App\Money\Estimates\EstimateAnswer;
use App\Money\Estimates\SentEstimate;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;

/** What owners were told and answered about money, and what they were billed. */
final readonly class ToldByMoney implements SaysToOwner
{
    private const MOST = 200;

    /** @return list<ToldLine> */
    public function told(Owner $owner): array
    {
        $messages = Message::query()->with('person')->whereIn('job_id', self::jobs($owner))->orderByDesc('id')->limit(self::MOST)->get();
        $tags = self::tags($messages->pluck('job_id'));

        return array_values($messages->map(static fn (Message $m): ToldLine => new ToldLine(
            $m->at->toIso8601String(),
            $tags[$m->job_id] ?? '',
            $m->job_id,
            ($m->kind === 'answered' ? 'Answered: ' : '').$m->text,
            $m->person->name ?? 'its owner',
        ))->all());
    }

    /** @return array<string, mixed> */
    public function keeps(Owner $owner): array
    {
        $jobs = self::jobs($owner);

        return [
            'messages' => Message::query()->whereIn('job_id', $jobs)->orderBy('id')->get()->map(static fn (Message $m): array => [
                'job' => $m->job_id, 'at' => $m->at->toIso8601String(), 'kind' => $m->kind, 'way' => $m->way, 'text' => $m->text,
            ])->all(),
            'estimates' => SentEstimate::query()->with('answer')->whereIn('job_id', $jobs)->orderBy('id')->get()->map(
                static fn (SentEstimate $s): array => [
                    'job' => $s->job_id,
                    'number' => $s->number,
                    'at' => $s->at->toIso8601String(),
                    'expected_minor' => $s->expected_minor,
                    'ceiling_minor' => $s->ceiling_minor,
                    'answer' => $s->answer?->answer->value,
                    'up_to_minor' => $s->answer?->up_to_minor,
                    'answered_at' => $s->answer?->at->toIso8601String(),
                ],
            )->all(),
            'bills' => Bill::query()->whereIn('job_id', $jobs)->orderBy('id')->get()->map(static fn (Bill $b): array => [
                'job' => $b->job_id, 'number' => $b->number, 'at' => $b->at->toIso8601String(), 'lines' => $b->lines,
                'gross_minor' => $b->gross_minor,
            ])->all(),
        ];
    }

    /** What was said goes; what was agreed and billed stays with the books, without a name. */
    public function forgets(Owner $owner): void
    {
        $jobs = self::jobs($owner);
        Message::query()->whereIn('job_id', $jobs)->whereIn('kind', ['told', 'answered'])->update(['text' => 'erased']);
        EstimateAnswer::query()->whereIn('estimate_id', SentEstimate::query()->select('id')->whereIn('job_id', $jobs))
            ->update(['said_by' => 'its owner']);
    }

    /** @return Builder<Job> */
    private static function jobs(Owner $owner): Builder
    {
        return Job::query()->select('id')->whereHas('machine', static fn ($q) => $q->where('owner_id', $owner->id));
    }

    /**
     * @param  Collection<int, mixed>  $jobs
     * @return array<int, string>
     */
    private static function tags(Collection $jobs): array
    {
        /** @var array<int, string> */
        return Job::query()->join('machines', 'machines.id', '=', 'jobs.machine_id')
            ->whereIn('jobs.id', $jobs)->pluck('tag', 'jobs.id')->all();
    }
}
