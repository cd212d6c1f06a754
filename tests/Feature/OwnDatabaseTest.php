<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Env;
use PHPUnit\Framework\TestCase;

/** Tests empty the database they run on: whatever the shell says, that is never one a shop works with. */
final class OwnDatabaseTest extends TestCase
{
    public function test_a_database_named_by_the_shell_is_not_taken(): void
    {
        if (getenv('DATABASE_OF_THE_SHELL') === false) {
            $run = proc_open(
                [PHP_BINARY, 'vendor/bin/phpunit', '--filter', 'OwnDatabaseTest', 'tests/Feature/OwnDatabaseTest.php'],
                [1 => ['pipe', 'w'], 2 => ['pipe', 'w']],
                $pipes,
                dirname(__DIR__, 2),
                ['DB_DATABASE' => 'odd_bench', 'DATABASE_OF_THE_SHELL' => '1'] + getenv(),
            );
            self::assertIsResource($run);
            $said = (string) stream_get_contents($pipes[1]);
            self::assertSame(0, proc_close($run), $said);

            return;
        }
        self::assertSame('odd_bench_test', Env::get('DB_DATABASE'));
    }
}
