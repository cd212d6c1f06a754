<?php

declare(strict_types=1);

namespace App\Stock\Parts;

use App\Api\Form;

final class NewPartRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'number' => ['required', 'string', 'max:28', 'regex:/^[A-Za-z0-9][A-Za-z0-9.\-]*$/', 'unique:parts,number'],
            'name' => ['required', 'string', 'max:160'],
            'class' => ['required', 'string', 'max:40'],
            'words' => ['nullable', 'string', 'max:300'],
            'bin' => ['required', 'string', 'max:12', 'regex:/^[A-Za-z0-9][A-Za-z0-9\-]*$/'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'number.unique' => 'There is a part with this number already. Receive into that one.',
            'number.regex' => 'A part number is made of letters, digits, dots and dashes.',
            'bin.regex' => 'A bin is made of letters, digits and dashes, such as C4.',
        ];
    }
}
