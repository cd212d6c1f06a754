<?php

declare(strict_types=1);

namespace App\Shop;

use App\Api\Form;

final class SettingsRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'shopName' => ['required', 'string', 'max:80'],
            'zone' => ['required', 'string', 'timezone:all'],
            'currency' => ['required', 'string', 'regex:/^[A-Z]{3}$/'],
            'benchMinuteMinor' => ['required', 'integer', 'between:1,100000'],
            'orderMinutes' => ['required', 'integer', 'between:0,480'],
            'holdingPct' => ['required', 'integer', 'between:1,100'],
            'servicePct' => ['required', 'integer', 'between:50,99'],
            'school' => ['required', 'string', 'in:measure-first,swap-first'],
            'idleMinutes' => ['required', 'integer', 'between:1,480'],
            'warrantyDays' => ['required', 'integer', 'between:1,3650'],
            'warrantyHours' => ['required', 'integer', 'between:1,20000'],
            'openMinutes' => ['required', 'integer', 'between:0,480'],
            'findMinutes' => ['required', 'integer', 'between:0,480'],
            'downDays' => ['required', 'integer', 'between:0,90'],
            'printHourMinor' => ['required', 'integer', 'between:0,100000'],
            'ovens' => ['required', 'integer', 'between:0,50'],
            'nights' => ['required', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'shopName.required' => 'What is the shop called? It stands on every sheet.',
            'zone.timezone' => 'There is no such zone. Pick one of the list, such as Europe/Berlin.',
            'currency.regex' => 'A currency is three capital letters, such as EUR.',
            'benchMinuteMinor.between' => 'A minute of hands costs 0.01 to 1,000.',
            'orderMinutes.between' => 'An order takes 0 to 480 minutes of hands.',
            'holdingPct.between' => 'A part in a bin costs 1 to 100 % of its price a year.',
            'servicePct.between' => 'A part is there in 50 to 99 of 100 times it is wanted.',
            'school.in' => 'Measure first or swap first.',
            'idleMinutes.between' => 'A shared tablet locks after 1 to 480 minutes of rest.',
            'warrantyDays.between' => 'A repair is stood for 1 to 3,650 days.',
            'openMinutes.between' => 'Opening a machine takes 0 to 480 minutes of hands.',
            'findMinutes.between' => 'Finding takes 0 to 480 minutes of hands.',
            'downDays.between' => 'A machine that failed stands 0 to 90 days.',
            'printHourMinor.between' => 'An hour of printing brings 0 to 1,000.',
            'ovens.between' => 'A shop has 0 to 50 dryers.',
            'warrantyHours.between' => 'A repair is stood for 1 to 20,000 print hours.',
        ];
    }
}
