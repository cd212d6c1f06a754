<?php

declare(strict_types=1);

namespace App\Machines\Owners;

use App\Api\Form;

final class OwnerRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:160'],
            'company' => ['required', 'boolean'],
            'contact' => ['nullable', 'string', 'max:200'],
            'address' => ['nullable', 'string', 'max:300'],
            'notes' => ['nullable', 'string', 'max:2000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.required' => 'What is the owner called?'];
    }
}
