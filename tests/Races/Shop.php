<?php

declare(strict_types=1);

namespace Tests\Races;

use App\Shop\Person;

/** Where scenes are played: who acts, and how to look. */
interface Shop
{
    /** The lead, who acts from here on. */
    public function lead(): Person;

    /** Another lead acts from here on. */
    public function another(): void;

    /**
     * @param  string  $uri
     * @param  array<string, string>  $headers
     * @param  int  $options
     * @return \Illuminate\Testing\TestResponse<\Illuminate\Http\Response>
     */
    public function getJson($uri, array $headers = [], $options = 0);
}
