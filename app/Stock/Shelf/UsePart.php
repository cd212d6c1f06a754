<?php

declare(strict_types=1);

namespace App\Stock\Shelf;

use App\Api\Refused;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\OnlyAt;
use App\Intake\Said;
use App\Shop\Person;
use App\Stock\Parts\Part;
use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;

/** Takes a part from its bin for a job and, when a position is named, fits it there. */
final readonly class UsePart
{
    public function __construct(
        private JobRecord $record,
        private MoveStock $stock,
        private FitPart $fit,
        private Knowledge $knowledge,
        private AsksBeforeTaking $before,
    ) {
    }

    /**
     * @param  bool  $askedFor  whoever had to be asked was, or the shop bears it
     *
     * @throws Refused when somebody has to be asked first
     */
    public function use(
        Job|int $job,
        Part $part,
        int $quantity,
        ?string $position,
        Person $by,
        FitNote $note = new FitNote,
        bool $askedFor = false,
    ): Job {
        return $this->record->write($job, $by, null, function (Job $job) use ($part, $quantity, $position, $by, $note, $askedFor): Said {
            $asks = $askedFor ? null : $this->before->asks($job, $part, $quantity);
            if ($asks !== null) {
                throw Refused::because('askedFor', $asks);
            }
            $movement = $this->stock->take($part, $quantity, $job, $position, $by);
            if ($position !== null) {
                $this->fit->fit($job->machine, $position, $movement, $note);
            }
            $where = $position === null ? '' : ' → '.$this->knowledge->families[$job->machine->family]->positions[$position]->name;

            return new Said(
                'part-used',
                "Used {$quantity} × {$part->name}, bin {$movement->bin}{$where}"
                    .($note->allTheSame ? ", all the same: {$note->reason}" : ($note->upgrade ? ', an upgrade' : '')),
            );
        }, at: OnlyAt::the('parts are used', Station::Repair));
    }

    public function putBack(Job $job, Movement $used, Person $by): Job
    {
        return $this->record->write($job, $by, null, function (Job $job) use ($used, $by): Said {
            if ($used->job_id !== $job->id) {
                throw Refused::notFound('movement', 'This part was not used in this job.');
            }
            $used->loadMissing('part');
            $this->stock->putBack($used, $by);
            $this->fit->unfit($job->machine, $used);
            $quantity = -$used->quantity;

            return new Said('part-back', "Put back {$quantity} × {$used->part->name}, bin {$used->bin}");
        });
    }
}
