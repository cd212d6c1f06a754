<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Api\Form;

final class LetGoRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['because' => ['required', 'string', 'max:300'], 'version' => ['required', 'integer']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['because.required' => 'Why is it let go? The next one like it will ask.'];
    }
}
