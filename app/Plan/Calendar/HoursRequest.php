<?php

declare(strict_types=1);

namespace App\Plan\Calendar;

use App\Api\Form;

final class HoursRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'person' => ['nullable', 'integer'],
            'week' => ['present', 'array', 'list', 'max:28'],
            'week.*.weekday' => ['required', 'integer', 'between:1,7'],
            'week.*.opens' => ['required', 'string', 'max:5'],
            'week.*.closes' => ['required', 'string', 'max:5'],
        ];
    }

    /** @return list<array{weekday: int, opens: string, closes: string}> */
    public function week(): array
    {
        $week = [];
        foreach ((array) $this->validated('week') as $one) {
            if (is_array($one)) {
                $week[] = [
                    'weekday' => (int) filter_var($one['weekday'], FILTER_VALIDATE_INT),
                    'opens' => is_string($one['opens']) ? $one['opens'] : '',
                    'closes' => is_string($one['closes']) ? $one['closes'] : '',
                ];
            }
        }
        usort($week, static fn (array $a, array $b): int => $a['weekday'] <=> $b['weekday']);

        return $week;
    }
}
