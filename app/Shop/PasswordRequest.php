<?php

declare(strict_types=1);

namespace App\Shop;

use App\Api\Form;

final class PasswordRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['current' => ['required', 'string', 'max:1000'], 'password' => ['required', 'string', 'max:1000']];
    }
}
