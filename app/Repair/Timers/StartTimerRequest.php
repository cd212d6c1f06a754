<?php

declare(strict_types=1);

namespace App\Repair\Timers;

use App\Api\Form;

final class StartTimerRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'minutes' => ['required', 'numeric'],
        ];
    }
}
