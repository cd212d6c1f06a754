<?php

declare(strict_types=1);

namespace App\Stock\Parts;

use App\Api\Form;

final class SuccessorRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'other' => ['nullable', 'string', 'max:30'],
        ];
    }
}
