<?php

declare(strict_types=1);

namespace App\Money\Worth;

use App\Money\Buying\Sale;

/** What machines of a family sold for here. */
final class Sales
{
    /** The newest so many say what one brings. */
    private const SALES = 9;

    /** @var array<string, list<int>> */
    private array $known = [];

    /** @return list<int> prices of the last two years, the newest first */
    public function of(string $family): array
    {
        return $this->known[$family] ??= array_values(Sale::query()
            ->whereHas('machine', static fn ($q) => $q->where('family', $family))
            ->where('at', '>', now()->subYears(2))
            ->orderByDesc('id')
            ->limit(self::SALES)
            ->get()
            ->map(static fn (Sale $sale): int => $sale->price_minor)
            ->all());
    }

    /** The middle one; nothing where none was sold. */
    public function middle(string $family): ?int
    {
        $prices = $this->of($family);
        sort($prices);
        $many = count($prices);

        return $many === 0 ? null : intdiv($prices[intdiv($many - 1, 2)] + $prices[intdiv($many, 2)], 2);
    }
}
