<?php

declare(strict_types=1);

namespace App\Scan;

use App\Intake\Job;
use App\Machines\Machine;
use App\Stock\Parts\Part;
use App\Stock\Shelf\ShelfQuery;
use App\Stock\Spools\Spool;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;
use OddBench\Machines\Tag;

/** Finds what was scanned or typed: a tag, a bin, a part number, or words. */
final readonly class ScanController
{
    private const MOST = 6;

    public function __construct(private Knowledge $knowledge, private ShelfQuery $shelf)
    {
    }

    public function show(ScanRequest $request): ScanView
    {
        // a label’s QR code holds the address of the owner’s page, an older one that of the machine
        $text = trim((string) preg_replace('#^https?://[^ ]*/(machines|shelf)/#', '', $request->string('text')->trim()->toString()));
        if (preg_match('#/o/([0-9a-f]{20})/?$#i', $text, $code) === 1) {
            $text = (string) Machine::query()->where('page_key', strtolower($code[1]))->value('tag');
            if ($text === '') {
                return new ScanView([], 'This label is out of date: the machine was sold since. Read the tag and print a new label.');
            }
        }
        $problem = null;
        if (Tag::looksLikeOne($text)) {
            try {
                $tag = Tag::read($text)->text();
                $machine = Machine::query()->with('owner')->where('tag', $tag)->first();
                if ($machine !== null) {
                    return new ScanView([$this->machine($machine, $this->open([$machine->id])[$machine->id] ?? null, true)], null);
                }
                $problem = "No machine here has the tag {$tag}.";
            } catch (InputError $e) {
                $problem = $e->getMessage();
            }
        }
        $like = '%'.addcslashes(mb_strtolower($text), '%_\\').'%';
        $machines = Machine::query()->with('owner')
            ->where(fn ($q) => $q
                ->whereRaw("replace(lower(tag), '-', '') LIKE ?", [str_replace(['-', ' '], '', $like)])
                ->orWhereRaw('lower(serial) LIKE ?', [$like])
                ->orWhereHas('owner', fn ($o) => $o->whereRaw('lower(name) LIKE ?', [$like])))
            ->orderByRaw("place = 'bench' DESC, tag")->limit(self::MOST)->get();
        $open = $this->open($machines->pluck('id'));
        $parts = $this->shelf->saying($text)
            ->orderByRaw('lower(number) = ? DESC, on_hand > 0 DESC, name', [mb_strtolower($text)])
            ->limit(self::MOST)
            ->get();
        $spools = preg_match('/^s\d{1,6}$/i', $text) === 1 ? Spool::query()->where('code', mb_strtoupper($text))->get() : collect();
        if ($machines->isEmpty() && $parts->isEmpty() && $spools->isEmpty()) {
            $parts = $this->shelf->like($text)->take(self::MOST);
        }

        return new ScanView([
            ...array_values($spools->map(static fn (Spool $s): ScanHit => new ScanHit(
                'spool',
                $s->code,
                "Spool {$s->code}",
                trim("{$s->material} {$s->colour}").', '.round((float) $s->left_g).' g left',
                true,
            ))->all()),
            ...array_values($machines->map(fn (Machine $m): ScanHit => $this->machine($m, $open[$m->id] ?? null, false))->all()),
            ...array_values($parts->map(fn (Part $p): ScanHit => new ScanHit(
                'part',
                $p->number,
                $p->name,
                "bin {$p->bin}, {$p->on_hand} left",
                mb_strtolower($p->number) === mb_strtolower($text),
            ))->all()),
        ], $problem);
    }

    /**
     * @param  iterable<mixed, int>  $machines  ids
     * @return array<int, Job> machine id => its open job
     */
    private function open(iterable $machines): array
    {
        /** @var array<int, Job> */
        return Job::query()->whereIn('machine_id', $machines)->whereNull('finished_at')->get()->keyBy('machine_id')->all();
    }

    private function machine(Machine $machine, ?Job $open, bool $exact): ScanHit
    {
        $family = $this->knowledge->familyName($machine->family);
        $owner = $machine->owner === null ? '' : ", {$machine->owner->name}";

        return $open === null
            ? new ScanHit('machine', $machine->tag, "{$machine->tag} {$family}", "not on the bench{$owner}", $exact)
            : new ScanHit(
                'job',
                (string) $open->id,
                "{$machine->tag} {$family}",
                "on the bench, at {$open->station->words()}{$owner}",
                $exact,
            );
    }
}
