<?php

declare(strict_types=1);

// php unpack.php CLASS INTO <backup: as a user with no rights, with nothing else of this program; see restore_unpack.

require $argv[1];

try {
    OddBench\Shop\BackupArchive::unpack(STDIN, $argv[2]);
} catch (Throwable $e) {
    fwrite(STDERR, $e->getMessage()."\n");
    exit(1);
}
