<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Api\Form;

final class CloseOrderRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['because' => ['required', 'string', 'min:3', 'max:300']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['because.required' => 'Say why nothing more of it comes.', 'because.min' => 'Say why nothing more of it comes.'];
    }
}
