<?php

declare(strict_types=1);

namespace App\Intake;

use App\Api\Day;
use App\Api\Form;
use Illuminate\Validation\Rule;

final class EditJobRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer'],
            'complaint' => ['sometimes', 'required', 'string', 'max:2000'],
            'screenSaid' => ['sometimes', 'nullable', 'string', 'max:500'],
            'cameAlong' => ['sometimes', 'nullable', 'string', 'max:500'],
            'promisedFor' => ['sometimes', 'nullable', new Day],
            'waitsFor' => ['sometimes', 'nullable', 'string', Rule::in(['itself', 'part', 'person', 'claim', 'owner'])],
            'waitsNote' => ['sometimes', 'nullable', 'string', 'max:200'],
            'waitsHot' => ['sometimes', 'nullable', 'boolean'],
            'waitsMinutes' => ['sometimes', 'nullable', 'integer', 'min:1', 'max:43200'],
        ];
    }
}
