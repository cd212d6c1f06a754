<?php

declare(strict_types=1);

namespace Tests\Core\Shop;

use OddBench\Shop\BackupArchive;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use RuntimeException;

/** A backup is read as something a stranger made: against tar itself, against archives made to break out, and a thousand altered ones. */
final class BackupArchiveTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/odd-bench-archive-'.bin2hex(random_bytes(4));
        mkdir($this->folder, 0700);
    }

    protected function tearDown(): void
    {
        exec('rm -rf '.escapeshellarg($this->folder));
    }

    public function test_what_tar_itself_packed_is_unpacked(): void
    {
        foreach (['gnu', 'ustar'] as $format) {
            $into = $this->unpacked($this->good($format));
            self::assertSame('{"real":false}', file_get_contents("{$into}/manifest.json"));
            self::assertSame('picture', file_get_contents("{$into}/files/photographs/ab/1.jpg"));
            self::assertSame('', file_get_contents("{$into}/files/empty.txt"));
        }
        // a name longer than the field of a header
        $long = str_repeat('a', 60).'/'.str_repeat('b', 60);
        self::assertSame('deep', file_get_contents($this->unpacked($this->good('gnu', ["files/{$long}.txt" => 'deep']))."/files/{$long}.txt"));
    }

    /** @return iterable<string, array{list<array{string, string, string}>, string}> entries put behind a good backup: name, type, what */
    public static function hostile(): iterable
    {
        yield 'up and out' => [[['files/../../out', '0', 'x']], 'no backup holds'];
        yield 'from the root' => [[['/tmp/out', '0', 'x']], 'no backup holds'];
        yield 'a link' => [[['files/out', '2', '/etc']], 'links'];
        yield 'a hard link' => [[['files/out', '1', 'secrets.env']], 'links'];
        yield 'a device' => [[['files/out', '3', '']], 'links or devices'];
        yield 'a pipe' => [[['files/out', '6', '']], 'links or devices'];
        yield 'a header of another kind' => [[['files/x', 'x', '30 path=../../out\n']], 'links or devices'];
        yield 'twice' => [[['manifest.json', '0', '{}']], 'no backup holds'];
        yield 'below a file' => [[['files/a', '0', 'x'], ['files/a/b', '0', 'x']], 'of one name'];
        yield 'a hidden one' => [[['files/.ssh', '0', 'x']], 'no backup holds'];
        yield 'another folder' => [[['pg', '5', '']], 'no backup holds'];
        yield 'a name with a line in it' => [[["files/a\nb", '0', 'x']], 'no backup holds'];
        yield 'what the sums do not know' => [[['files/more.txt', '0', 'x']], 'sums say'];
        yield 'a long name that leads out' => [[['././@LongLink', 'L', "files/../../out\0"], ['x', '0', 'x']], 'no backup holds'];
        // one name among thousands: what is judged is all of it
        yield 'behind nine thousand good names' => [[...array_map(
            static fn (int $i): array => ["files/{$i}.txt", '0', ''],
            range(1, 9000),
        ), ['files/out', '2', '/etc']], 'links'];
    }

    /** @param  list<array{string, string, string}>  $entries */
    #[DataProvider('hostile')]
    public function test_what_no_backup_holds_is_refused_before_anything_is_written(array $entries, string $words): void
    {
        $tar = rtrim($this->good('ustar'), "\0");
        $tar .= str_repeat("\0", (512 - strlen($tar) % 512) % 512);
        foreach ($entries as [$name, $type, $what]) {
            $tar .= self::header($name, $type, in_array($type, ['0', 'L', 'x'], true) ? $what : '', $type === '1' || $type === '2' ? $what : '');
        }
        $into = $this->folder.'/into';
        mkdir($into);
        try {
            BackupArchive::unpack($this->stream($tar.str_repeat("\0", 1024)), $into);
            self::fail('It was taken.');
        } catch (RuntimeException $e) {
            self::assertStringContainsString($words, $e->getMessage());
        }
        if ($words !== 'sums say') {
            self::assertSame(['.', '..'], scandir($into));
        }
        self::assertFileDoesNotExist($this->folder.'/out');
    }

    public function test_a_thousand_altered_archives_are_refused_or_hold_what_was_put_in(): void
    {
        $random = new Randomizer(new Mt19937(29));
        $good = $this->good('ustar');
        $taken = 0;
        for ($i = 0; $i < 1000; $i++) {
            $altered = $this->altered($good, $random);
            $into = "{$this->folder}/into-{$i}";
            mkdir($into);
            try {
                BackupArchive::unpack($this->stream($altered), $into);
                $taken++;
                self::assertSame(
                    ['database.dump', 'files', 'manifest.json', 'seal', 'secrets.env', 'settings', 'sums'],
                    array_slice((array) scandir($into), 2),
                );
                foreach (self::FILES as $name => $what) {
                    self::assertSame($what, file_get_contents("{$into}/{$name}"), "archive {$i}");
                }
            } catch (RuntimeException $e) {
                self::assertNotSame('', $e->getMessage());
            }
            exec('rm -rf '.escapeshellarg($into));
        }
        self::assertLessThan(700, $taken, 'most of them were altered where it counts');
        self::assertSame([], glob("{$this->folder}/*"), 'nothing was put beside it');
    }

    public function test_the_seal_is_of_these_sums_and_this_key(): void
    {
        // RFC 4231 is what hash_hmac is held to; here it is that key and text both count
        $seal = BackupArchive::seal("a  b\n", 'base64:k');
        self::assertSame(hash_hmac('sha256', "a  b\n", 'backup base64:k'), $seal);
        self::assertNotSame($seal, BackupArchive::seal("a  b\n", 'base64:l'));
        self::assertNotSame($seal, BackupArchive::seal("a  c\n", 'base64:k'));
    }

    public function test_a_folder_with_something_in_it_is_none_to_unpack_into(): void
    {
        mkdir("{$this->folder}/into");
        touch("{$this->folder}/into/x");
        $this->expectExceptionMessage('no empty folder');
        BackupArchive::unpack($this->stream($this->good('ustar')), "{$this->folder}/into");
    }

    private const FILES = [
        'manifest.json' => '{"real":false}',
        'secrets.env' => "APP_KEY=base64:AAAA\n",
        'settings' => '',
        'database.dump' => 'PGDMP and what follows',
        'files/photographs/ab/1.jpg' => 'picture',
        'files/empty.txt' => '',
    ];

    /** @param  array<string, string>  $more */
    private function good(string $format, array $more = []): string
    {
        $from = $this->folder.'/good';
        $sums = '';
        foreach (self::FILES + $more as $name => $what) {
            is_dir(dirname("{$from}/{$name}")) || mkdir(dirname("{$from}/{$name}"), 0700, true);
            file_put_contents("{$from}/{$name}", $what);
            $sums .= hash('sha256', $what)."  {$name}\n";
        }
        file_put_contents("{$from}/sums", $sums);
        file_put_contents("{$from}/seal", 'x');
        exec(sprintf(
            'tar --format=%s -cf %s.tar -C %s manifest.json sums seal secrets.env settings database.dump files && rm -rf %s',
            $format,
            escapeshellarg($from),
            escapeshellarg($from),
            escapeshellarg($from),
        ), $out, $status);
        self::assertSame(0, $status);
        $tar = (string) file_get_contents("{$from}.tar");
        unlink("{$from}.tar");

        return $tar;
    }

    private function unpacked(string $tar): string
    {
        $into = $this->folder.'/unpacked-'.bin2hex(random_bytes(3));
        mkdir($into);
        BackupArchive::unpack($this->stream($tar), $into);

        return $into;
    }

    private function altered(string $tar, Randomizer $random): string
    {
        $end = strlen(rtrim($tar, "\0"));
        for ($times = $random->getInt(1, 3); $times > 0; $times--) {
            $at = $random->getInt(0, $end - 1);
            $block = 512 * intdiv($at, 512);
            switch ($random->getInt(0, 5)) {
                case 0: // a byte
                    $tar[$at] = chr($random->getInt(0, 255));
                    break;
                case 1: // it breaks off
                    $tar = substr($tar, 0, $at);
                    break 2;
                case 2: // a block again
                    $tar = substr($tar, 0, $block).substr($tar, $block, 512).substr($tar, $block);
                    break;
                case 3: // one is gone
                    $tar = substr($tar, 0, $block).substr($tar, $block + 512);
                    break;
                case 4: // another type, name or size, with a sum that fits
                    $header = substr($tar, $block, 512);
                    if (strlen($header) === 512) {
                        $field = [[156, 1], [0, 100], [124, 12], [157, 100], [345, 155]][$random->getInt(0, 4)];
                        $into = ['2', '1', '../../out', '/etc/x', '77777777777', "\x80\xff\xff\xff\xff\xff\xff\xff\xff\xff\xff\xff", 'files/../x'][$random->getInt(0, 6)];
                        $header = substr_replace($header, str_pad(substr($into, 0, $field[1]), $field[1], "\0"), $field[0], $field[1]);
                        $tar = substr_replace($tar, self::summed($header), $block, 512);
                    }
                    break;
                default: // noise
                    $tar = substr_replace($tar, $random->getBytes(20), $at, 20);
            }
            $end = max(1, min($end, strlen($tar)));
        }

        return $tar;
    }

    private static function header(string $name, string $type, string $what, string $link): string
    {
        $header = str_pad($name, 100, "\0")."0000644\0"."0000000\0"."0000000\0".sprintf('%011o', strlen($what))."\0".'00000000000'."\0"
            .'        '.$type.str_pad($link, 100, "\0")."ustar\0".'00';

        return self::summed(str_pad($header, 512, "\0")).$what.str_repeat("\0", (512 - strlen($what) % 512) % 512);
    }

    private static function summed(string $header): string
    {
        $sum = array_sum((array) unpack('C*', substr_replace($header, '        ', 148, 8)));

        return substr_replace($header, sprintf("%06o\0 ", $sum), 148, 8);
    }

    /** @return resource */
    private function stream(string $bytes)
    {
        $stream = tmpfile();
        self::assertIsResource($stream);
        fwrite($stream, $bytes);
        rewind($stream);

        return $stream;
    }
}
