<?php

declare(strict_types=1);

namespace App\Stock\Batches;

use App\Api\Form;

final class FlagBatchRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'because' => ['required', 'string', 'min:3', 'max:300'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'because.required' => 'Say what is wrong with them.',
            'because.min' => 'Say what is wrong with them.',
        ];
    }
}
