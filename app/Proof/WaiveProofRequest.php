<?php

declare(strict_types=1);

namespace App\Proof;

use App\Api\Form;
use App\Shop\Tablets\Signer;

final class WaiveProofRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'proof' => ['required', 'string', 'max:60'],
            'because' => ['required', 'string', 'max:500'],
            ...Signer::RULES,
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['because.required' => 'Say why it is not done: whoever has this machine next reads it.'];
    }
}
