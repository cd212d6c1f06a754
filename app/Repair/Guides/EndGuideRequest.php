<?php

declare(strict_types=1);

namespace App\Repair\Guides;

use App\Api\Form;

final class EndGuideRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'givenUp' => ['sometimes', 'boolean'],
            'minutes' => ['nullable', 'numeric', 'min:0.1', 'max:1440'],
        ];
    }
}
