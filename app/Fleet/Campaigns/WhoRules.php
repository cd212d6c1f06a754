<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

use App\Api\Form;

/** What may be said of whom a campaign is about. */
final class WhoRules
{
    /** @return array<string, list<mixed>> */
    public static function under(string $key): array
    {
        return [
            $key => ['required', 'array'],
            "{$key}.families" => ['nullable', 'array', 'max:60'],
            "{$key}.families.*" => ['string', 'max:60'],
            "{$key}.class" => ['nullable', 'string', 'max:60'],
            "{$key}.part" => ['nullable', 'string', 'max:30'],
            "{$key}.batch" => ['nullable', 'string', 'max:60'],
            "{$key}.hoursFrom" => ['nullable', 'numeric', 'min:0', 'max:1000000'],
            "{$key}.hoursTo" => ['nullable', 'numeric', 'min:0', 'max:1000000'],
            "{$key}.heldAs" => ['nullable', 'string', 'in:owner,farm,resale'],
            "{$key}.place" => ['nullable', 'string', 'in:bench,service,owner,sale'],
            "{$key}.rack" => ['nullable', 'integer', 'min:1'],
        ];
    }

    public static function read(Form $form, string $key): Who
    {
        /** @var list<string> $families */
        $families = array_values((array) $form->input("{$key}.families", []));

        return new Who(
            $families,
            $form->words("{$key}.class"),
            $form->words("{$key}.part"),
            $form->words("{$key}.batch"),
            $form->numberOrNull("{$key}.hoursFrom"),
            $form->numberOrNull("{$key}.hoursTo"),
            $form->words("{$key}.heldAs"),
            $form->words("{$key}.place"),
            $form->wholeOrNull("{$key}.rack"),
        );
    }
}
