<?php

declare(strict_types=1);

namespace App\Stock\Spools;

use App\Api\Refused;
use App\Intake\Findings;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Shop\Person;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;
use OddBench\Stock\SpoolState;

/** Spools: made known, opened, weighed, dried, used, and named in a job whose print went wrong. */
final readonly class KeepSpools
{
    /** A scale and a spool's own mass are not surer than this. */
    private const SCALE_G = 15.0;

    public function __construct(private Knowledge $knowledge, private JobRecord $record, private Findings $findings)
    {
    }

    public function add(
        string $material,
        ?string $colour,
        ?string $lot,
        float $netG,
        float $emptyG,
        int $pricePerKgMinor,
        ?Carbon $madeOn,
    ): Spool {
        $of = $this->knowledge->material($material);

        return DB::transaction(static function () use ($of, $colour, $lot, $netG, $emptyG, $pricePerKgMinor, $madeOn): Spool {
            DB::select('SELECT pg_advisory_xact_lock(?)', [crc32('spool')]);
            $last = Spool::query()->max('id');

            return Spool::query()->create([
                'code' => 'S'.((is_numeric($last) ? (int) $last : 0) + 1),
                'material' => $of->code,
                'colour' => $colour,
                'lot' => $lot,
                'net_g' => $netG,
                'empty_g' => $emptyG,
                'left_g' => $netG,
                'price_per_kg_minor' => $pricePerKgMinor,
                'made_on' => $madeOn,
            ]);
        });
    }

    public function opened(Spool $spool, Person $by): void
    {
        $this->write($spool, static function (Spool $spool): array {
            if ($spool->opened_at !== null) {
                throw Refused::because('spool', "{$spool->code} is open already.");
            }
            $spool->update(['opened_at' => now()]);

            return ['kind' => 'opened'];
        }, $by);
    }

    /** @param  float  $grossG  spool and all, on the scale */
    public function weighed(Spool $spool, float $grossG, Person $by): void
    {
        $this->write($spool, static function (Spool $spool) use ($grossG): array {
            $left = $grossG - (float) $spool->empty_g;
            if ($left < -self::SCALE_G) {
                throw InputError::at(
                    'grams',
                    sprintf('The empty spool alone weighs %s g. Weigh it with the spool, in grams.', (float) $spool->empty_g),
                );
            }
            if ($left > (float) $spool->net_g + self::SCALE_G) {
                throw InputError::at(
                    'grams',
                    sprintf(
                        'That would be %d g of filament, and there were %d g when it was new. In grams? The right spool?',
                        round($left),
                        round((float) $spool->net_g),
                    ),
                );
            }
            $spool->update(['left_g' => max(0.0, min((float) $spool->net_g, $left))]);

            return ['kind' => 'weighed'];
        }, $by);
    }

    public function dried(Spool $spool, float $hours, ?float $celsius, Person $by): void
    {
        $this->write($spool, static function (Spool $spool) use ($hours, $celsius): array {
            $spool->update(['dried_at' => now(), 'opened_at' => $spool->opened_at ?? now()]);

            return ['kind' => 'dried', 'hours' => $hours, 'celsius' => $celsius];
        }, $by);
    }

    public function used(Spool $spool, float $grams, ?string $note, Person $by): void
    {
        $this->write($spool, static function (Spool $spool) use ($grams, $note): array {
            if ($grams > (float) $spool->left_g + self::SCALE_G) {
                throw Refused::because(
                    'grams',
                    sprintf('Only about %d g are left on %s. Weigh it.', round((float) $spool->left_g), $spool->code),
                );
            }
            $spool->update(['left_g' => max(0.0, (float) $spool->left_g - $grams), 'opened_at' => $spool->opened_at ?? now()]);

            return ['kind' => 'used', 'note' => $note];
        }, $by);
    }

    public function ended(Spool $spool, Person $by): void
    {
        $this->write($spool, static function (Spool $spool): array {
            $spool->update(['ended_at' => now()]);

            return ['kind' => 'ended'];
        }, $by);
    }

    /** The print that went wrong came from this spool: what it is like is a circumstance of the job. */
    public function inJob(Spool $spool, Job $job, Person $by): void
    {
        $this->record->write($job, $by, null, function (Job $job) use ($spool, $by): Said {
            $job->spool_id = $spool->id;
            $said = [];
            foreach (array_diff_key($this->state($spool)->findings, array_flip($this->findings->known($job))) as $code => $because) {
                $this->findings->put($job, $code, true, 'seen', "spool {$spool->code}: {$because}", $by);
                $said[] = $this->knowledge->finding($code)->name." (spool {$spool->code}: {$because})";
            }
            SpoolEvent::query()->create([
                'spool_id' => $spool->id,
                'kind' => 'job',
                'grams' => $spool->left_g,
                'job_id' => $job->id,
                'person_id' => $by->id,
                'at' => now(),
            ]);

            return new Said('finding', $said === [] ? "The print came from spool {$spool->code}" : implode(', ', $said));
        });
    }

    public function state(Spool $spool): SpoolState
    {
        $days = static fn (?Carbon $at): ?float => $at === null ? null : max(0.0, $at->diffInDays(now()));

        return SpoolState::of(
            $this->knowledge->material($spool->material),
            $days($spool->made_on ?? $spool->created_at),
            $days($spool->opened_at),
            $days($spool->dried_at),
        );
    }

    /** @param  callable(Spool): array<string, mixed>  $change */
    private function write(Spool $spool, callable $change, Person $by): void
    {
        DB::transaction(static function () use ($spool, $change, $by): void {
            $spool = Spool::query()->lockForUpdate()->findOrFail($spool->id);
            if ($spool->ended_at !== null) {
                throw Refused::because('spool', "{$spool->code} is done with.");
            }
            $event = $change($spool);
            SpoolEvent::query()->create([
                ...$event,
                'spool_id' => $spool->id,
                'grams' => $spool->left_g,
                'person_id' => $by->id,
                'at' => now(),
            ]);
        });
    }
}
