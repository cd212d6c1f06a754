<?php

declare(strict_types=1);

namespace App\Stock\Shelf;

use App\Shop\Setting;
use App\Stock\Batches\BadBatch;
use App\Stock\Orders\ReorderQuery;
use App\Stock\Parts\Part;
use App\Stock\Parts\PartView;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;

/** The shelf bin by bin, and parts found by any of their words. */
final readonly class ShelfQuery
{
    private const PAGE = 60;

    /** Words this alike are taken for a slip of the pen (trigrams, pg_trgm). */
    private const ALIKE = 0.35;

    private const GUESSES = 12;

    public function __construct(private Knowledge $knowledge, private ReorderQuery $reorder)
    {
    }

    /** @param  string|null  $family  only what fits it, as far as that is said */
    public function page(string $text, ?string $class, ?string $family, ?string $after): ShelfView
    {
        $query = $this->saying($text)
            ->when(
                $family !== null,
                static fn (Builder $q): Builder => $q->whereRaw(
                    "(coalesce(jsonb_array_length(fits->'families'), 0) = 0 OR fits->'families' @> to_jsonb(?::text))",
                    [$family],
                ),
            )
            ->when($class !== null, static fn (Builder $q): Builder => $q->where('class', $class));
        $sums = (clone $query)->toBase()->selectRaw('count(*) AS n, coalesce(sum(value_minor), 0) AS value')->first();
        $all = (int) ($sums->n ?? 0);
        if ($all === 0 && $text !== '') {
            $like = $this->like($text, $class);

            return new ShelfView($this->views($like), 0, 0, null, ! $like->isEmpty());
        }
        if ($after !== null) {
            [$bin, $number] = [...explode('|', $after, 2), ''];
            $query->whereRaw('(bin, number) > (?, ?)', [$bin, $number]);
        }
        $parts = $query->orderBy('bin')->orderBy('number')->limit(self::PAGE + 1)->get();
        $page = $parts->take(self::PAGE);
        $last = $page->last();

        return new ShelfView(
            $this->views($page),
            $all,
            (int) ($sums->value ?? 0),
            $parts->count() > self::PAGE && $last !== null ? "{$last->bin}|{$last->number}" : null,
            false,
        );
    }

    /**
     * Parts that have every word in their name, numbers, other names or bin.
     *
     * @return Builder<Part>
     */
    public function saying(string $text): Builder
    {
        $query = Part::query();
        $bin = mb_strtoupper(trim($text));
        if ($bin === '') {
            return $query;
        }

        return $query->where(static fn (Builder $either): Builder => $either
            ->where(static function (Builder $q) use ($text): void {
                foreach (self::words($text) as $word) {
                    $q->where('search', 'like', '%'.addcslashes($word, '%_\\').'%');
                }
            })
            ->orWhere('bin', $bin)
            ->when(preg_match('/^[A-Z0-9][A-Z0-9\-]{0,11}$/', $bin) === 1, static fn (Builder $q): Builder => $q->orWhereIn('id', DB::table('bin_stocks')->where('bin', $bin)->where('on_hand', '>', 0)->select('part_id'))));
    }

    /**
     * Parts whose words are nearly what was typed, the likest first.
     *
     * @return Collection<int, Part>
     */
    public function like(string $text, ?string $class = null): Collection
    {
        $words = array_values(array_filter(self::words($text), static fn (string $w): bool => mb_strlen($w) > 2));
        if ($words === []) {
            return new Collection;
        }

        return DB::transaction(function () use ($words, $class): Collection {
            DB::select("SELECT set_config('pg_trgm.word_similarity_threshold', ?, true)", [(string) self::ALIKE]);
            $every = $this->nearly(
                $words,
                $class,
                static fn (Builder $q): Builder => array_reduce(
                    $words,
                    static fn (Builder $q, string $word): Builder => $q->whereRaw('? <% search', [$word]),
                    $q,
                ),
            );

            // one slip may be past knowing: then those most of whose words are nearly right
            return $every->isNotEmpty() || count($words) === 1 ? $every : $this->nearly(
                $words,
                $class,
                static fn (Builder $q): Builder => array_reduce(
                    $words,
                    static fn (Builder $q, string $word): Builder => $q->orWhereRaw('? <% search', [$word]),
                    $q,
                ),
            );
        });
    }

    /**
     * @param  list<string>  $words
     * @param  callable(Builder<Part>): Builder<Part>  $alike
     * @return Collection<int, Part> the likest first
     */
    private function nearly(array $words, ?string $class, callable $alike): Collection
    {
        return Part::query()->when(
            $class !== null,
            static fn (Builder $q): Builder => $q->where('class', $class),
        )->where(static function (Builder $q) use ($alike): void {
            $alike($q);
        })->orderByRaw(implode(' + ', array_fill(0, count($words), 'word_similarity(?, search)')).' DESC, on_hand > 0 DESC, number', $words)->limit(self::GUESSES)->get();
    }

    /** @return list<string> */
    private static function words(string $text): array
    {
        return array_values(array_filter(preg_split('/\s+/u', mb_strtolower(trim($text))) ?: [], static fn (string $w): bool => $w !== ''));
    }

    /**
     * @param  Collection<int, Part>  $parts
     * @return list<PartView>
     */
    private function views(Collection $parts): array
    {
        $ids = array_values($parts->map(static fn (Part $p): int => $p->id)->all());
        $used = Movement::query()->whereIn('part_id', $ids)->whereIn('kind', ['used', 'returned'])->where('at', '>', now()->subDays(90))
            ->groupBy('part_id')->selectRaw('part_id, -sum(quantity) as used')->toBase()->pluck('used', 'part_id');
        $judged = $this->reorder->of($ids, Setting::benchMinuteMinor());
        $bad = BadBatch::query()->whereNull('lifted_at')
            ->whereHas('movement', static fn ($q) => $q->whereIn('part_id', $ids))
            ->with('movement')
            ->get()
            ->map(static fn (BadBatch $b): int => $b->movement->part_id)
            ->all();

        return array_values($parts->map(fn (Part $p): PartView => PartView::of(
            $p,
            $this->knowledge,
            (int) ($used[$p->id] ?? 0),
            $judged->get($p->id),
            in_array($p->id, $bad, true),
        ))->all());
    }
}
