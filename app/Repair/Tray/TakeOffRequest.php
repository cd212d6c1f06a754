<?php

declare(strict_types=1);

namespace App\Repair\Tray;

use App\Api\Form;

final class TakeOffRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'off' => ['required', 'string', 'max:160'],
            'fasteners' => ['nullable', 'string', 'max:400'],
            'missing' => ['nullable', 'string', 'max:200'],
            'sockets' => ['sometimes', 'array', 'max:30'],
            'sockets.*' => ['string', 'max:40'],
            'parts' => ['sometimes', 'array', 'max:20'],
            'parts.*' => ['string', 'max:80'],
            'after' => ['nullable', 'array', 'max:100'],
            'after.*' => ['integer'],
            'before' => ['sometimes', 'array', 'max:100'],
            'before.*' => ['integer'],
            'cell' => ['nullable', 'integer', 'min:1', 'max:200'],
            'into' => ['nullable', 'string', 'in:metal,plastic'],
            'engagementMm' => ['nullable', 'numeric', 'min:0', 'max:100'],
            'roomMm' => ['nullable', 'numeric', 'min:0', 'max:200'],
            'wayRound' => ['nullable', 'string', 'max:300'],
            'caution' => ['nullable', 'string', 'max:300'],
            'undoFirst' => ['nullable', 'string', 'max:300'],
            'firstPass' => ['nullable', 'string', 'max:300'],
            'secondPass' => ['nullable', 'string', 'max:300'],
            'check' => ['nullable', 'string', 'max:300'],
            'photograph' => ['nullable', 'integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['off.required' => 'What came off? One or two words are enough.'];
    }
}
