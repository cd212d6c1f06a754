<?php

declare(strict_types=1);

namespace App\Release;

use App\Api\Form;
use Illuminate\Validation\Rule;
use OddBench\Release\Destination;

final class SendOutRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'to' => ['required', 'string', Rule::enum(Destination::class)],
            'note' => ['nullable', 'string', 'max:1000'],
            'danger' => ['nullable', 'string', 'max:1000'],
            'priceMinor' => ['nullable', 'integer', 'min:0', 'max:100000000'],
            'version' => ['required', 'integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['priceMinor.min' => 'The price cannot be below zero.'];
    }
}
