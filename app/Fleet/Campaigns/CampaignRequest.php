<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

use App\Api\Day;
use App\Api\Form;

final class CampaignRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'origin' => ['required', 'string', 'in:fault,batch,bulletin,thought'],
            'title' => ['required', 'string', 'min:3', 'max:120'],
            'because' => ['nullable', 'string', 'max:400'],
            'fault' => ['nullable', 'string', 'max:60'],
            'look' => ['nullable', 'string', 'max:60'],
            'lookFor' => ['nullable', 'string', 'max:400'],
            'dangerous' => ['sometimes', 'boolean'],
            'mend' => ['nullable', 'string', 'max:400'],
            'assignedTo' => ['nullable', 'integer'],
            'dueOn' => ['nullable', new Day],
        ] + WhoRules::under('who');
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => 'What is it about? A few words that stand on every list.',
            'origin.in' => 'A campaign begins from a fault, a batch, a bulletin or a thought.',
            'who.required' => 'Which machines? Say at least one thing: a family, a part, a batch, hours, a place.',
        ];
    }
}
