<?php

declare(strict_types=1);

namespace App\Shop;

use App\Api\Form;

final class OpenShopRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $settings = (new SettingsRequest)->rules();
        $person = (new NewPersonRequest)->rules();

        return [
            'shopName' => $settings['shopName'],
            'zone' => $settings['zone'],
            'currency' => $settings['currency'],
            'login' => $person['login'],
            'name' => $person['name'],
            'password' => ['required', 'string', 'max:1000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return (new SettingsRequest)->messages() + (new NewPersonRequest)->messages();
    }
}
