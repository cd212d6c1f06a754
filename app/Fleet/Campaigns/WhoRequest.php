<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

use App\Api\Form;

final class WhoRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return WhoRules::under('who');
    }
}
