<?php

declare(strict_types=1);

namespace App\JobScreen;

use App\Diagnosis\Faults\ConfirmedView;
use App\Diagnosis\Findings\FindingView;
use App\Fleet\Campaigns\CampaignLine;
use App\Intake\AccessoryView;
use App\Intake\JobView;
use App\Intake\StationView;
use App\Machines\WarrantyView;
use App\Passport\MachineSummary;
use App\Proof\ProofView;
use App\Release\PastJobView;
use App\Release\WayOutView;
use App\Repair\MendView;
use App\Repair\Positions\FittingView;
use App\Safety\RedTagView;
use App\Stock\Shelf\MovementView;
use OddBench\Intake\JobKind;
use OddBench\Intake\Station;
use OpenApi\Attributes as OA;

/** A job with everything its screen shows, the ranking of faults apart. */
#[OA\Schema(schema: 'JobView')]
final readonly class WholeJobView extends JobView
{
    /**
     * @param  list<AccessoryView>  $accessories
     * @param  list<StationView>  $stations
     * @param  array<string, bool|null>  $safetyAnswers
     * @param  list<FindingView>  $findings
     * @param  list<ConfirmedView>  $diagnoses  superseded ones among them
     * @param  list<MendView>  $mends
     * @param  list<MovementView>  $parts
     * @param  list<ProofView>  $proofs
     * @param  list<WayOutView>  $waysOut
     * @param  list<FittingView>  $positions
     * @param  list<PastJobView>  $pastJobs
     * @param  list<CampaignLine>  $campaigns  open ones this machine stands on
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public int $version,
        #[OA\Property] public MachineSummary $machine,
        #[OA\Property(enum: JobKind::class)] public string $kind,
        #[OA\Property(enum: Station::class)] public string $station,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StationView::class))] public array $stations,
        #[OA\Property] public string $complaint,
        #[OA\Property] public ?string $screenSaid,
        #[OA\Property] public ?string $cameAlong,
        #[OA\Property(type: 'array', items: new OA\Items(ref: AccessoryView::class))] public array $accessories,
        #[OA\Property] public string $began,
        #[OA\Property] public ?float $hours,
        #[OA\Property(description: 'its counter was not read when it came in')] public bool $hoursAbout,
        #[OA\Property] public ?string $promisedFor,
        #[OA\Property] public ?string $waitsFor,
        #[OA\Property] public ?string $waitsNote,
        #[OA\Property] public ?string $waitsUntil,
        #[OA\Property(description: 'something is hot while it runs by itself; null where nobody has said')] public ?bool $waitsHot,
        #[OA\Property] public ?string $findPassedBecause,
        #[OA\Property] public string $openedAt,
        #[OA\Property] public ?string $finishedAt,
        #[OA\Property] public ?string $destination,
        #[OA\Property(description: 'it left with a sheet')] public bool $sheet,
        #[OA\Property] public ?string $handsOf,
        #[OA\Property] public ?RedTagView $redTag,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'boolean', nullable: true))]
        public array $safetyAnswers,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FindingView::class))] public array $findings,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ConfirmedView::class))] public array $diagnoses,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MendView::class))] public array $mends,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MovementView::class))] public array $parts,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ProofView::class))] public array $proofs,
        #[OA\Property(type: 'array', items: new OA\Items(ref: WayOutView::class))] public array $waysOut,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FittingView::class))] public array $positions,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PastJobView::class))] public array $pastJobs,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CampaignLine::class))] public array $campaigns,
        #[OA\Property] public ?WarrantyView $warranty,
        #[OA\Property(description: 'the spool the print that went wrong came from, in words')] public ?string $spool,
    ) {
    }

    /** @return array<string, mixed> an empty map stays a map */
    public function jsonSerialize(): array
    {
        return ['safetyAnswers' => (object) $this->safetyAnswers] + parent::jsonSerialize();
    }
}
