<?php

declare(strict_types=1);

namespace App\Stock\Kits;

use App\Api\Form;

final class PromiseRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'tag' => ['required', 'string', 'max:20'],
            'quantity' => ['required', 'integer', 'min:0', 'max:100000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'tag.required' => 'To which machine’s job?',
        ];
    }
}
