<?php

declare(strict_types=1);

namespace App\Repair\Tray;

use App\Api\Form;
use App\Api\IsMap;

final class PutBackRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'fasteners' => ['nullable', 'string', 'max:400'],
            'sockets' => ['nullable', 'array', 'max:30'],
            'sockets.*' => ['string', 'max:40'],
            'parts' => ['nullable', 'array', new IsMap],
            'parts.*' => ['string', 'max:20'],
            'finished' => ['sometimes', 'boolean'],
        ];
    }
}
