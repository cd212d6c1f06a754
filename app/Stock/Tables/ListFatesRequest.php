<?php

declare(strict_types=1);

namespace App\Stock\Tables;

use App\Api\Form;

final class ListFatesRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'after' => ['nullable', 'integer', 'min:0'],
            'fate' => ['nullable', 'string', 'max:10'],
        ];
    }
}
