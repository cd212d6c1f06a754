<?php

declare(strict_types=1);

namespace App\Shop;

use App\Api\Form;
use Illuminate\Validation\Rule;

final class NewPersonRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'login' => ['required', 'string', 'max:60', 'regex:/^[\pL\pN][\pL\pN._\-]*$/u'],
            'name' => ['required', 'string', 'max:120'],
            'role' => ['required', Rule::enum(Role::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'login.required' => 'What does this person type to log in? A short name, such as bo.',
            'login.regex' => 'A login is letters and figures without blanks, such as bo or b.lindqvist.',
            'name.required' => 'What is this person called?',
            'role.required' => 'What is this person here to do?',
        ];
    }
}
