<?php

declare(strict_types=1);

namespace App\Repair\Positions;

use App\Api\Form;

final class RemovePartRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'became' => ['required', 'string', 'in:scrap,spare,seller,lost'],
            'grade' => ['nullable', 'string', 'in:tested,untested'],
            'ended' => ['nullable', 'string', 'in:failed,worked'],
            'reason' => ['nullable', 'string', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['became.required' => 'What became of it: scrap, a spare, back to the seller, or lost?'];
    }
}
