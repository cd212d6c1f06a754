<?php

declare(strict_types=1);

namespace App\Repair\Positions;

use App\Api\Form;
use App\Machines\WarrantyChoice;
use Illuminate\Validation\Rule;

final class WarrantyChoiceRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'choice' => ['required', 'string', Rule::enum(WarrantyChoice::class)],
            'note' => ['nullable', 'string', 'max:200'],
        ];
    }
}
