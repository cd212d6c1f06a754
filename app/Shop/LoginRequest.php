<?php

declare(strict_types=1);

namespace App\Shop;

use App\Api\Form;

final class LoginRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'login' => ['required', 'string', 'max:60'],
            'password' => ['required', 'string', 'max:200'],
            'shared' => ['nullable', 'boolean'],
        ];
    }
}
