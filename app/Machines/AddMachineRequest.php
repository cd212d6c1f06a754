<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\Form;
use App\Machines\Owners\OwnerChoice;
use Illuminate\Validation\Rule;

final class AddMachineRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'family' => ['required', 'string', 'max:40'],
            'serial' => ['nullable', 'string', 'max:80'],
            'heldAs' => ['required', 'string', Rule::enum(HeldAs::class)],
            ...OwnerChoice::RULES,
            'pricePaidMinor' => ['nullable', 'integer', 'min:0', 'max:100000000'],
            'hours' => ['nullable', 'numeric', 'min:0', 'max:200000'],
            'notes' => ['nullable', 'string', 'max:2000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'family.required' => 'Which family is it?',
            'heldAs.required' => 'Whose is it: an owner’s, our own farm’s, or bought for resale?',
        ];
    }
}
