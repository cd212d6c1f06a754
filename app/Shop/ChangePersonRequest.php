<?php

declare(strict_types=1);

namespace App\Shop;

use App\Api\Day;
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
            'mainsUntil' => ['nullable', new Day],
            'mainsBy' => ['nullable', 'string', 'max:120'],
            'seesMoney' => ['sometimes', 'boolean'],
        ];
    }
}
