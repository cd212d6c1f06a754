<?php

declare(strict_types=1);

namespace App\Stock\Orders;

/** Makes a supplier known, or changes what is known; its least order and its freight stay when nothing is said of them. */
final readonly class NoteSupplier
{
    public function note(string $name, int $leadDays, ?int $minimumMinor, ?int $freightMinor, ?string $contact): Supplier
    {
        return Supplier::query()->updateOrCreate(
            ['name' => $name],
            [
                'lead_days' => $leadDays,
                'contact' => $contact,
                ...array_filter(['minimum_minor' => $minimumMinor, 'freight_minor' => $freightMinor], is_int(...)),
            ],
        );
    }
}
