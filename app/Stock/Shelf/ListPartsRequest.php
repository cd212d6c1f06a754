<?php

declare(strict_types=1);

namespace App\Stock\Shelf;

use App\Api\Form;

final class ListPartsRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'text' => ['nullable', 'string', 'max:100'],
            'class' => ['nullable', 'string', 'max:40'],
            'family' => ['nullable', 'string', 'max:40'],
            'after' => ['nullable', 'string', 'max:60'],
        ];
    }
}
