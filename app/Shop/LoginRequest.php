<?php

declare(strict_types=1);

namespace App\Shop;

use Illuminate\Foundation\Http\FormRequest;

final class LoginRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['login' => ['required', 'string', 'max:60'], 'password' => ['required', 'string', 'max:200']];
    }
}
