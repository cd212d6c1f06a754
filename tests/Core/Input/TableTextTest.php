<?php

declare(strict_types=1);

namespace Tests\Core\Input;

use OddBench\Input\InputError;
use OddBench\Input\TableText;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Encodings by iconv, which is another library than the one that reads them. */
final class TableTextTest extends TestCase
{
    private const TABLE = "number;name;bin\nLIN-1;Röhrchen 60 mm – weiß;C4\nFAN-1;Lüfter 30 × 10 “klein” 4 €;D1\n";

    /** @return iterable<string, array{string}> */
    public static function readable(): iterable
    {
        yield 'UTF-8' => [self::TABLE];
        yield 'UTF-8 with its mark' => ["\u{FEFF}".self::TABLE];
        foreach (['UTF-16LE' => "\xFF\xFE", 'UTF-16BE' => "\xFE\xFF"] as $encoding => $mark) {
            yield "{$encoding} with its mark" => [$mark.iconv('UTF-8', $encoding, self::TABLE)];
            yield "{$encoding} without" => [(string) iconv('UTF-8', $encoding, self::TABLE)];
        }
        yield 'Windows-1252' => [(string) iconv('UTF-8', 'CP1252', self::TABLE)];
    }

    #[DataProvider('readable')]
    public function test_what_can_be_known_is_read(string $bytes): void
    {
        self::assertSame(self::TABLE, TableText::utf8($bytes));
    }

    public function test_latin_1_is_read(): void
    {
        $table = "number;name\nRÖ-1;Röhrchen weiß\n";
        self::assertSame($table, TableText::utf8((string) iconv('UTF-8', 'ISO-8859-1', $table)));
    }

    /** @return iterable<string, array{string, string}> */
    public static function refused(): iterable
    {
        yield 'workbook' => ["PK\x03\x04\x14\x00\x06\x00rest", 'a workbook'];
        yield 'old workbook' => ["\xD0\xCF\x11\xE0\xA1\xB1\x1A\xE1", 'of an old kind'];
        yield 'PDF' => ["%PDF-1.7\n", 'a PDF'];
        yield 'picture' => ["\x89PNG\r\n\x1a\n", 'a picture'];
        yield 'program' => ["\x7FELF\x02\x01\x01".str_repeat("\x90\x01", 40), 'no text'];
        yield 'half a sign' => ["\xFF\xFEa\0b", 'cut off'];
    }

    #[DataProvider('refused')]
    public function test_what_is_no_table_is_named(string $bytes, string $words): void
    {
        $this->expectException(InputError::class);
        $this->expectExceptionMessage($words);
        TableText::utf8($bytes);
    }
}
