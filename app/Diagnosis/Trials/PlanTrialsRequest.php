<?php

declare(strict_types=1);

namespace App\Diagnosis\Trials;

use App\Api\Form;
use App\Api\IsMap;

final class PlanTrialsRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'low' => ['required', 'array', 'min:1', 'max:4', new IsMap],
            'low.*' => ['required', 'string', 'max:60'],
            'high' => ['required', 'array', 'min:1', 'max:4', new IsMap],
            'high.*' => ['required', 'string', 'max:60'],
        ];
    }

    /** @return array<string, list<mixed>> setting => its two values */
    public function levels(): array
    {
        $levels = [];
        foreach ((array) $this->validated('low') as $setting => $low) {
            $levels[(string) $setting] = [$low, ((array) $this->validated('high'))[$setting] ?? $low];
        }

        return $levels;
    }
}
