<?php

declare(strict_types=1);

namespace App\Stock\Made;

use App\Api\Form;

final class MadeRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'quantity' => ['required', 'integer', 'min:1', 'max:10000'],
            'spool' => ['nullable', 'string', 'max:12'],
            'note' => ['nullable', 'string', 'max:200'],
        ];
    }
}
