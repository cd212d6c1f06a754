<?php

declare(strict_types=1);

/*
 * Loaded before the tests of a mutant: the class that was changed is taken from the changed file, everything else as ever.
 */
require __DIR__.'/../bootstrap.php';
$class = (string) getenv('MUTANT_CLASS');
$file = (string) getenv('MUTANT_FILE');
if ($class !== '') {
    spl_autoload_register(static function (string $wanted) use ($class, $file): void {
        if ($wanted === $class) {
            require $file;
        }
    }, true, true);
}
