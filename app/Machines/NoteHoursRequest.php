<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\Form;
use OddBench\Units\Quantity;

final class NoteHoursRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'hours' => ['required', 'numeric', 'between:'.implode(',', array_slice(Quantity::MachineHours->bounds(), 0, 2))],
            'beganAnew' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'hours.required' => 'What does its counter show? Type the hours.',
            'hours.numeric' => 'Type the hours as a number, such as 1687.',
            'hours.between' => 'A counter shows 0 to 1,000,000 hours. Is it minutes?',
        ];
    }
}
