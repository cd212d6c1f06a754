<?php

declare(strict_types=1);

namespace App\Plan\Ahead;

use App\Intake\Job;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;

/**
 * Which parts lie on the shelf for whom, and when those come that do not. Pieces are given out job by job as they are asked for; a
 * promised piece is its job's. One of these lives for one plan.
 */
final class PartsComing
{
    /** @var array<string, int> class => pieces nobody has been given yet */
    private array $free = [];

    /** @var array<int, array<string, int>> job => class => pieces promised to it */
    private array $promised = [];

    /** @var array<string, list<Carbon>> class => when each ordered piece is expected */
    private array $coming = [];

    public function __construct(private readonly Knowledge $knowledge)
    {
        foreach (DB::table('parts')->groupBy('class')->selectRaw('class, sum(on_hand) AS pieces')->get() as $row) {
            $this->free[(string) $row->class] = (int) $row->pieces;
        }
        $reserved = DB::table('reservations')->join('parts', 'parts.id', '=', 'reservations.part_id')
            ->groupBy('job_id', 'class')->selectRaw('job_id, class, sum(quantity) AS pieces')->get();
        foreach ($reserved as $row) {
            $this->promised[(int) $row->job_id][(string) $row->class] = (int) $row->pieces;
            $this->free[(string) $row->class] = ($this->free[(string) $row->class] ?? 0) - (int) $row->pieces;
        }
        foreach (self::ordered() as [$class, $at, $pieces]) {
            $this->coming[$class] = [...$this->coming[$class] ?? [], ...array_fill(0, min($pieces, 100), $at)];
        }
    }

    /**
     * What is ordered and has not come, the first to come first.
     *
     * @return list<array{string, Carbon, int, string}> class, when, pieces, name of the part
     */
    public static function ordered(): array
    {
        $rows = DB::table('order_lines')->join('orders', 'orders.id', '=', 'order_lines.order_id')
            ->join('parts', 'parts.id', '=', 'order_lines.part_id')->whereNull('closed_at')
            ->whereRaw('order_lines.packs * order_lines.pack > order_lines.received')
            ->orderBy('expected_at')->orderBy('order_lines.id')
            ->selectRaw(
                'parts.class, parts.name, orders.expected_at, order_lines.packs * order_lines.pack - order_lines.received AS pieces',
            )
            ->get();

        return array_values($rows->map(static fn (object $row): array => [
            (string) $row->class,
            Carbon::parse((string) $row->expected_at),
            (int) $row->pieces,
            (string) $row->name,
        ])->all());
    }

    /**
     * A piece of a class for a job: it is here, comes at a moment, or nobody knows when.
     *
     * @return Carbon|string|null nothing when it is here; words when nobody knows
     */
    public function take(Job $job, string $class): Carbon|string|null
    {
        if (in_array($class, Knowledge::USED_UP, true)) {
            return null;
        }
        if (($this->promised[$job->id][$class] ?? 0) > 0) {
            $this->promised[$job->id][$class]--;

            return null;
        }
        if (($this->free[$class] ?? 0) > 0) {
            $this->free[$class]--;

            return null;
        }
        $next = isset($this->coming[$class]) ? array_shift($this->coming[$class]) : null;

        return $next ?? sprintf('%s, which nobody has ordered', $this->knowledge->partClasses[$class] ?? $class);
    }
}
