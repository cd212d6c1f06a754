<?php

declare(strict_types=1);

namespace App\Money\Messages;

use App\Api\Form;
use Illuminate\Validation\Rule;

final class MessageRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kind' => ['required', 'string', 'in:told,answered'],
            'way' => ['required', 'string', Rule::in(Message::WAYS)],
            'text' => ['required', 'string', 'max:4000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['text.required' => 'What was said?'];
    }
}
