<?php

declare(strict_types=1);

namespace OddBench\Money;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/**
 * What each piece of a lot cost that was bought for one price. Two schools: by what each is worth (relative sales value), or what
 * is sold pays first and the rest cost what is left (cost recovery); both are common practice of bookkeeping.
 */
final readonly class CostSplit implements Computation
{
    public const SCHOOLS = ['relative-worth', 'residual'];

    private const MOST_PIECES = 1000;

    public function name(): string
    {
        return 'cost-split';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $paid = $fields->whole('paid', ...Quantity::Sum->bounds());
        $pieces = [];
        foreach ($fields->objects('pieces', self::MOST_PIECES) as $of) {
            $pieces[] = new Piece(
                $of->text('name'),
                $of->wholeOrNull('worth', ...Quantity::Sum->bounds()) ?? 0,
                $of->wholeOrNull('sold', ...Quantity::Sum->bounds()),
            );
            $of->done();
        }
        $school = $fields->choice('school', self::SCHOOLS, self::SCHOOLS[0]);
        $fields->done();
        $costs = $this->judge($paid, $pieces, $school === self::SCHOOLS[1]);

        return ['pieces' => array_map(
            static fn (Piece $piece, int $cost): array => ['name' => $piece->name, 'cost' => $cost],
            $pieces,
            $costs,
        )];
    }

    /**
     * @param  int  $paid  for all of them, minor units
     * @param  list<Piece>  $pieces
     * @param  bool  $residual  what is sold pays first
     * @return non-empty-list<int> by piece, adding up to what was paid
     *
     * @throws InputError when there is no piece
     */
    public function judge(int $paid, array $pieces, bool $residual = false): array
    {
        if ($pieces === []) {
            throw InputError::at('pieces', 'pieces is empty: say at least one thing that was bought.');
        }
        $worth = array_map(static fn (Piece $piece): int => $piece->worth, $pieces);
        $sold = array_filter(array_map(static fn (Piece $piece): ?int => $piece->sold, $pieces), static fn (?int $s): bool => $s !== null);
        if (! $residual || $sold === []) {
            return Exact::apportion($paid, $worth);
        }
        $here = array_diff_key($worth, $sold);
        // with nothing left to carry the rest, what was sold carries it; more than was paid is earned
        $ofSold = $here === [] ? $paid : min($paid, array_sum($sold));
        $costs = array_combine(array_keys($sold), Exact::apportion($ofSold, array_values($sold)));
        if ($here !== []) {
            $costs += array_combine(array_keys($here), Exact::apportion($paid - $ofSold, array_values($here)));
        }
        ksort($costs);

        return array_values($costs);
    }
}
