<?php

declare(strict_types=1);

namespace App\Shop;

use App\Api\Form;
use Illuminate\Validation\Rule;

final class ChangePersonRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'role' => ['required', Rule::enum(Role::class)],
            'mainsUntil' => ['nullable', 'date_format:Y-m-d'],
            'mainsBy' => ['nullable', 'string', 'max:120'],
        ];
    }
}
