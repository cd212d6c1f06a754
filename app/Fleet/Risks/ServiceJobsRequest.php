<?php

declare(strict_types=1);

namespace App\Fleet\Risks;

use App\Api\Form;

final class ServiceJobsRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'visits' => ['required', 'array', 'min:1', 'max:40'],
            'visits.*.tag' => ['required', 'string', 'max:200', 'distinct'],
            'visits.*.positions' => ['required', 'array', 'min:1', 'max:40'],
            'visits.*.positions.*' => ['string', 'max:60'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['visits.required' => 'Choose at least one machine.', 'visits.*.tag.distinct' => 'A machine is visited once.'];
    }
}
