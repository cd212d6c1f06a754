<?php

declare(strict_types=1);

namespace App\Repair\Service;

use App\Api\Form;

final class ServiceJobRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'items' => ['required', 'array', 'max:20'],
            'items.*' => ['string', 'max:60'],
            'hours' => ['nullable', 'numeric', 'min:0', 'max:200000'],
        ];
    }
}
