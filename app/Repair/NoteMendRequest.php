<?php

declare(strict_types=1);

namespace App\Repair;

use App\Api\Form;

final class NoteMendRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'fault' => ['nullable', 'string', 'max:60'],
            'way' => ['nullable', 'string', 'max:80'],
            'done' => ['required', 'string', 'max:2000'],
            'touched' => ['sometimes', 'array', 'max:25'],
            'touched.*' => ['string', 'max:60'],
        ];
    }
}
