<?php

declare(strict_types=1);

namespace App\Proof\Run;

use App\Api\Form;
use Illuminate\Validation\Rule;
use OddBench\Proof\Run\RunStage;

final class StartRunRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'host' => ['required', 'string', 'max:120'],
            'port' => ['required', 'integer', 'min:1', 'max:65535'],
            'moved' => ['sometimes', 'boolean'],
            'leaveOut' => ['array', 'max:20'],
            'leaveOut.*' => [
                'string',
                Rule::in(array_column(array_filter(RunStage::cases(), static fn (RunStage $s): bool => ! $s->isAlwaysOwed()), 'value')),
            ],
        ];
    }

    /** @return list<string> stages for another time */
    public function leaveOut(): array
    {
        return array_values(array_filter((array) $this->input('leaveOut', []), is_string(...)));
    }
}
