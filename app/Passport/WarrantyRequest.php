<?php

declare(strict_types=1);

namespace App\Passport;

use App\Api\Form;

final class WarrantyRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'by' => ['nullable', 'string', 'in:maker,seller'],
            'until' => ['nullable', 'date_format:Y-m-d'],
            'note' => ['nullable', 'string', 'max:200'],
        ];
    }
}
