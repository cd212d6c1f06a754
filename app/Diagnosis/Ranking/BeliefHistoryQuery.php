<?php

declare(strict_types=1);

namespace App\Diagnosis\Ranking;

use App\Diagnosis\Findings\FoundInJob;
use App\Intake\JobState;
use Illuminate\Support\Carbon;
use OddBench\Diagnosis\Session;
use OddBench\Knowledge\Knowledge;

/** How belief moved in a job, from every finding it ever had, withdrawn ones among them. */
final readonly class BeliefHistoryQuery
{
    private const LINES = 4;

    public function __construct(private Knowledge $knowledge)
    {
    }

    /**
     * @param  list<string>  $inQuestion  faults a line may be drawn for
     * @param  list<string>  $superseded
     * @return array{list<MoveView>, list<LineView>}
     */
    public function of(JobState $state, Session $session, array $inQuestion, array $superseded): array
    {
        $events = $this->events($state);
        $codes = $session->faults();
        $history = $session->history(array_map(
            static fn (array $e): array => ['code' => $e['code'], 'present' => $e['present'], 'withdrawn' => $e['withdrawn']],
            $events,
        ));
        $index = array_flip($codes);
        $faults = array_values(array_intersect_key($index, array_flip([...$inQuestion, ...$superseded])));
        $moves = [new MoveView(null, 'to begin with', false, false, null)];
        foreach ($events as $event) {
            $moves[] = new MoveView(
                $event['code'],
                $this->knowledge->findings[$event['code']]->name,
                $event['present'],
                $event['withdrawn'],
                $event['at']->toIso8601String(),
            );
        }
        $lines = [];
        foreach ($history->lines($faults, self::LINES, array_values(array_intersect_key($index, array_flip($superseded)))) as $fault) {
            $code = $codes[$fault];
            $lines[] = new LineView(
                $code,
                $this->knowledge->faults[$code]->name,
                in_array($code, $superseded, true),
                array_map(static fn ($move): float => $move->faults[$fault], $history->moves),
            );
        }

        return [$moves, $lines];
    }

    /** @return list<array{code: string, present: bool, withdrawn: bool, at: Carbon, id: int}> in the order they happened */
    private function events(JobState $state): array
    {
        $events = [];
        foreach (FoundInJob::of($state)->everFound as $finding) {
            if (! isset($this->knowledge->findings[$finding->code])) {
                continue;
            }
            $events[] = [
                'code' => $finding->code,
                'present' => $finding->present,
                'withdrawn' => false,
                'at' => $finding->at,
                'id' => $finding->id,
            ];
            if ($finding->withdrawn_at !== null) {
                $events[] = [
                    'code' => $finding->code,
                    'present' => $finding->present,
                    'withdrawn' => true,
                    'at' => $finding->withdrawn_at,
                    'id' => $finding->id,
                ];
            }
        }
        // one that replaces another at the same moment comes after the withdrawal
        usort(
            $events,
            static fn (array $a, array $b): int => [$a['at'], ! $a['withdrawn'], $a['id']] <=> [$b['at'], ! $b['withdrawn'], $b['id']],
        );

        return $events;
    }
}
