<?php

declare(strict_types=1);

namespace App\Intake;

use App\Api\View;

/** A job as its screen shows it. */
abstract readonly class JobView extends View
{
}
