<?php

declare(strict_types=1);

namespace App\Knowledge;

use App\Knowledge\Families\OwnFamilies;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\ServiceProvider;
use OddBench\Knowledge\BadKnowledge;
use OddBench\Knowledge\Knowledge;

final class KnowledgeServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(KnowledgeFiles::class, function (): KnowledgeFiles {
            /** @var list<string> $folders */
            $folders = config('odd-bench.knowledge');

            return new KnowledgeFiles($folders, new OwnFamilies(Config::boolean('odd-bench.own_families')));
        });
        $this->app->singleton(Knowledge::class, fn (): Knowledge => $this->kept($this->app->make(KnowledgeFiles::class)));
    }

    /** Read anew when a file changed; a running site keeps the last good knowledge when the new one has mistakes. */
    private function kept(KnowledgeFiles $files): Knowledge
    {
        $store = storage_path('app/knowledge.ser');
        $print = $files->print();
        [$lastPrint, $good] = self::last($store);
        if ($good !== null && $lastPrint === $print) {
            return $good;
        }
        try {
            $knowledge = $files->read();
        } catch (BadKnowledge $e) {
            try {
                [$knowledge, $spoiled] = $files->readWithoutSpoiled($e);
                Log::error(
                    'These families of the shop are left out, this release does not take them: '.implode(', ', $spoiled)
                        ."\n{$e->getMessage()}",
                );

                return $knowledge;
            } catch (BadKnowledge) {
                // it is not they
            }
            if ($good !== null) {
                Log::error("The knowledge files have mistakes; the last good ones are used.\n{$e->getMessage()}");

                return $good;
            }
            throw $e;
        }
        if (is_dir(dirname($store)) && is_writable(dirname($store))) {
            file_put_contents("{$store}.new", implode("\n", [self::form(), $print, self::packed($knowledge)]));
            rename("{$store}.new", $store);
        }

        return $knowledge;
    }

    /**
     * What was kept last, where this release of the classes kept it: that is looked at before anything is made of it.
     *
     * @return array{string|null, Knowledge|null}
     */
    private static function last(string $store): array
    {
        $lines = is_readable($store) ? explode("\n", (string) file_get_contents($store), 3) : [];
        if (count($lines) !== 3 || $lines[0] !== self::form()) {
            return [null, null];
        }
        $knowledge = self::quickly() ? @igbinary_unserialize($lines[2]) : @unserialize($lines[2]);

        return $knowledge instanceof Knowledge ? [$lines[1], $knowledge] : [null, null];
    }

    /** It is read with every request: igbinary takes half as long as PHP’s own way, where it is there. */
    private static function quickly(): bool
    {
        return function_exists('igbinary_unserialize');
    }

    private static function packed(Knowledge $knowledge): string
    {
        return self::quickly() ? (string) igbinary_serialize($knowledge) : serialize($knowledge);
    }

    /** Knowledge kept by another release of the classes is not taken for this one's. */
    private static function form(): string
    {
        return (self::quickly() ? 'quick-' : '').sha1(implode(
            ',',
            array_map(static fn (string $file): string => (string) filemtime($file), glob(base_path('core/Knowledge/*.php')) ?: []),
        ));
    }
}
