<?php

declare(strict_types=1);

namespace App\Intake;

use App\Api\Form;
use Illuminate\Validation\Rule;
use OddBench\Intake\Station;

final class MoveJobRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'to' => ['required', 'string', Rule::enum(Station::class)],
            'why' => ['nullable', 'string', 'max:500'],
            'version' => ['required', 'integer'],
        ];
    }
}
