<?php

declare(strict_types=1);

namespace App\Passport;

use App\Api\Day;
use App\Api\Form;
use App\Machines\WarrantyBy;
use Illuminate\Validation\Rule;

final class WarrantyRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'by' => ['nullable', 'string', Rule::enum(WarrantyBy::class)],
            'until' => ['nullable', new Day],
            'note' => ['nullable', 'string', 'max:200'],
        ];
    }
}
