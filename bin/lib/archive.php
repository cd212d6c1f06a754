<?php

declare(strict_types=1);

// What restore asks of a backup, with nothing else of this program, so that a user with no rights can do it:
//   php archive.php CLASS unpack INTO <backup
//   php archive.php CLASS about|place|release FOLDER
//   KEY=… php archive.php CLASS sealed FOLDER

use OddBench\Shop\BackupArchive;

[, $class, $verb, $folder] = $argv;
require $class;

/** @return array<mixed> */
function manifest(string $folder): array
{
    $manifest = json_decode((string) file_get_contents("{$folder}/manifest.json", length: 67_108_864), true, 8);

    return is_array($manifest) ? $manifest : throw new RuntimeException('It does not say what it is.');
}

/** @param  array<mixed>  $manifest */
function about(array $manifest): string
{
    $rows = static fn (string $table): int => (int) ($manifest['rows'][$table] ?? 0);
    $missing = count((array) ($manifest['missing'] ?? []));

    return sprintf(
        'A backup of %s, made %s, with %d machines, %d jobs and %d parts.%s',
        preg_replace('/\p{C}/u', '', (string) ($manifest['shop'] ?? '')),
        preg_replace('/[^0-9TZ:+.-]/', '', (string) ($manifest['madeAt'] ?? '')),
        $rows('machines'),
        $rows('jobs'),
        $rows('parts'),
        $missing === 0 ? '' : " The shop had lost {$missing} of its files before; they are not in it.",
    );
}

function isSealed(string $folder, string $key): bool
{
    $seal = BackupArchive::seal((string) file_get_contents("{$folder}/sums"), $key);

    return $key !== '' && hash_equals($seal, trim((string) @file_get_contents("{$folder}/seal")));
}

try {
    match ($verb) {
        'unpack' => BackupArchive::unpack(STDIN, $folder),
        'about' => print about(manifest($folder)),
        'place' => print((manifest($folder)['real'] ?? false) === true ? 'shop' : 'site'),
        'release' => print preg_replace('/[^a-z0-9_]/', '', (string) (manifest($folder)['lastMigration'] ?? '')),
        'sealed' => isSealed($folder, (string) getenv('KEY')) ?: throw new RuntimeException('It was not sealed with this key.'),
        default => throw new RuntimeException("There is no “{$verb}”."),
    };
} catch (Throwable $e) {
    fwrite(STDERR, $e->getMessage()."\n");
    exit(1);
}
