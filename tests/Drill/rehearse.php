<?php

declare(strict_types=1);

require __DIR__.'/../../vendor/autoload.php';

exit((new Tests\Drill\Rehearsal)->play() ? 0 : 1);
