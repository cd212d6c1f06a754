<?php

declare(strict_types=1);

require __DIR__.'/../../vendor/autoload.php';

$drill = new Tests\Drill\Drill(new Tests\Drill\Site, (string) getenv('DRILL_LONG') !== '');
$drill->all();
if ($drill->failed > 0) {
    printf("%d did not hold.\n", $drill->failed);
    exit(1);
}
echo "All of it held.\n";
