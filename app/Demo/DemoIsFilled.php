<?php

declare(strict_types=1);

namespace App\Demo;

use Symfony\Component\HttpKernel\Exception\ServiceUnavailableHttpException;

/** The demo shop is just being put in place: nothing can be shown for some seconds. */
final class DemoIsFilled extends ServiceUnavailableHttpException
{
    private const RETRY_S = 2;

    public function __construct()
    {
        parent::__construct(self::RETRY_S, 'The demo shop is being filled; that takes about ten seconds.');
    }
}
