<?php

declare(strict_types=1);

namespace App\Diagnosis\Trials;

use App\Api\View;
use Illuminate\Database\Eloquent\Collection;
use OddBench\Diagnosis\TrialJudgement;
use OddBench\Diagnosis\TrialVerdict;
use OpenApi\Attributes as OA;

/** The trial prints of a job and what they say. */
#[OA\Schema]
final readonly class TrialsView extends View
{
    /**
     * @param  list<string>  $settings  columns: every setting named in any trial, in the order they came
     * @param  list<TrialView>  $trials
     * @param  list<EffectView>  $effects  largest first
     * @param  list<EffectView>  $interactions  settings that work together, “a × b”
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $settings,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TrialView::class))] public array $trials,
        #[OA\Property(type: 'array', items: new OA\Items(ref: EffectView::class))] public array $effects,
        #[OA\Property(type: 'array', items: new OA\Items(ref: EffectView::class))] public array $interactions,
        #[OA\Property] public ?string $matters,
        #[OA\Property] public ?int $best,
        #[OA\Property(enum: TrialVerdict::class)] public string $verdict,
        #[OA\Property] public string $because,
        #[OA\Property(description: 'the conclusion that stands as a finding: true, false, or not drawn')] public ?bool $concluded,
    ) {
    }

    /** @param  Collection<int, TrialPrint>  $prints */
    public static function of(Collection $prints, TrialJudgement $judged, ?bool $concluded): self
    {
        $settings = $trials = [];
        $warnings = array_column($judged->warnings, 'message', 'trial');
        foreach ($prints->values() as $i => $print) {
            $settings += $print->settings;
            $band = $print->band();
            $trials[] = new TrialView(
                $print->number, $print->settings, $print->rating, $print->stopped, $band[0] ?? null, $band[1] ?? null, $print->note,
                $print->photograph === null ? null : \App\Intake\PhotographView::of($print->photograph),
                $print->person->name, $print->at->toIso8601String(), $judged->changes[$i]['changed'], $warnings[$print->number] ?? null,
            );
        }
        $said = static fn (float|string|null $value): ?string => $value === null ? null : (string) $value;

        return new self(
            array_keys($settings),
            $trials,
            array_map(
                static fn (array $e): EffectView => new EffectView($e['setting'], $said($e['low']), $said($e['high']), $e['effect']),
                $judged->effects,
            ),
            array_map(
                static fn (array $e): EffectView => new EffectView(implode(' × ', $e['settings']), null, null, $e['effect']),
                array_slice($judged->interactions, 0, 6),
            ),
            $judged->matters,
            $judged->best,
            $judged->verdict,
            $judged->because,
            $concluded,
        );
    }
}
