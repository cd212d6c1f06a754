<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use App\Api\Form;
use App\Money\Messages\Message;
use Illuminate\Validation\Rule;

final class SendEstimateRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['way' => ['required', 'string', Rule::in(Message::WAYS)], 'upToFinding' => ['required', 'integer', 'min:0']];
    }
}
