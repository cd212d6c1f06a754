<?php

declare(strict_types=1);

namespace App\Shop;

use App\Api\Form;

final class CodeRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'login' => ['required', 'string', 'max:60'],
            'code' => ['required', 'string', 'max:40'],
            'shared' => ['nullable', 'boolean'],
            'password' => ['required', 'string', 'max:1000'],
        ];
    }
}
