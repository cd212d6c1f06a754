<?php

declare(strict_types=1);

namespace App\Stock\Spools;

use App\Api\Form;
use Illuminate\Validation\Rule;

final class SpoolEventRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kind' => ['required', 'string', Rule::in(['opened', 'weighed', 'dried', 'used', 'ended'])],
            'grams' => ['required_if:kind,weighed,used', 'nullable', 'numeric', 'min:0', 'max:30000'],
            'hours' => ['required_if:kind,dried', 'nullable', 'numeric', 'min:0.5', 'max:200'],
            'celsius' => ['nullable', 'numeric', 'min:20', 'max:150'],
            'note' => ['nullable', 'string', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'grams.required_if' => 'How many grams?',
            'hours.required_if' => 'For how many hours?',
        ];
    }
}
