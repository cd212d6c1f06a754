<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

use App\Api\Day;
use App\Api\Form;

final class ChangeCampaignRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'mend' => ['nullable', 'string', 'max:400'],
            'assignedTo' => ['nullable', 'integer'],
            'dueOn' => ['nullable', new Day],
        ];
    }
}
