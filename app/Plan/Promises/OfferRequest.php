<?php

declare(strict_types=1);

namespace App\Plan\Promises;

use App\Api\Form;

final class OfferRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'family' => ['required', 'string', 'max:40'],
            'findings' => ['sometimes', 'array', 'max:60'],
            'findings.*' => ['string', 'max:60'],
        ];
    }

    /** @return list<string> */
    public function findings(): array
    {
        return array_values(array_filter((array) $this->input('findings', []), is_string(...)));
    }
}
