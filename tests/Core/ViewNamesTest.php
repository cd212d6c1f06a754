<?php

declare(strict_types=1);

namespace Tests\Core;

use FilesystemIterator;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;

/** The description of the API knows a view by its bare name: two of one name would be one there, and one of them wrong. */
final class ViewNamesTest extends TestCase
{
    public function test_no_two_views_of_the_application_have_one_name(): void
    {
        $described = [];
        $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator(dirname(__DIR__, 2).'/app', FilesystemIterator::SKIP_DOTS));
        foreach ($files as $file) {
            $text = (string) file_get_contents((string) $file);
            if (preg_match("/^#\\[OA\\\\Schema(?:\\(.*?schema: '(\\w+)')?/m", $text, $name) === 1) {
                $described[$name[1] ?? basename((string) $file, '.php')][] = substr((string) $file, strlen(dirname(__DIR__, 2)) + 1);
            }
        }

        self::assertGreaterThan(100, count($described));
        self::assertSame([], array_filter($described, static fn (array $files): bool => count($files) > 1));
    }
}
