<?php

declare(strict_types=1);

namespace App\Knowledge;

use App\Knowledge\Families\OwnFamilies;
use OddBench\Knowledge\BadKnowledge;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\KnowledgeReader;
use OddBench\Knowledge\Mistake;
use OddBench\Practice\Practice;
use OddBench\Practice\StoryReader;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/** Reads the knowledge folders; a shop's own folder overrides by file and code. */
final readonly class KnowledgeFiles
{
    /** Read only when somebody practises, not by the running site. */
    private const PRACTICE = 'practice';

    /** @param  list<string>  $folders later ones override earlier ones */
    public function __construct(private array $folders, private OwnFamilies $own = new OwnFamilies(false))
    {
    }

    /** @throws BadKnowledge with every mistake */
    public function read(): Knowledge
    {
        return KnowledgeReader::read($this->withFamilies($this->merged(), $this->own->all()));
    }

    /**
     * What is known with one family as it would be kept.
     *
     * @throws BadKnowledge with every mistake
     */
    public function readWith(string $code, string $yaml): Knowledge
    {
        return KnowledgeReader::read($this->withFamilies($this->merged(), [$code => $yaml] + $this->own->all()));
    }

    /**
     * What is known without those of the shop’s own families that a newer release does not take any more.
     *
     * @return array{Knowledge, list<string>} and the codes of those
     *
     * @throws BadKnowledge when it is not they
     */
    public function readWithoutSpoiled(BadKnowledge $because): array
    {
        $spoiled = array_values(array_intersect(
            array_keys($this->own->all()),
            array_map(static fn (Mistake $m): string => basename($m->file, '.yaml'), $because->mistakes),
        ));
        if ($spoiled === []) {
            throw $because;
        }

        return [
            KnowledgeReader::read($this->withFamilies($this->merged(), array_diff_key($this->own->all(), array_flip($spoiled)))),
            $spoiled,
        ];
    }

    /** A family of this code comes with the application. */
    public function ships(string $code): bool
    {
        return $this->shipped($code) !== null;
    }

    /** @return string|null its file, as it is shipped */
    public function shipped(string $code): ?string
    {
        foreach (array_reverse($this->folders) as $folder) {
            $path = "{$folder}/families/{$code}.yaml";
            if (preg_match('/^[a-z0-9-]+$/', $code) === 1 && is_file($path)) {
                return (string) file_get_contents($path);
            }
        }

        return null;
    }

    /** @return array<mixed>|null what stands in the shop’s own file, or else in the shipped one */
    public function family(string $code, ?string $own): ?array
    {
        $yaml = $own ?? $this->shipped($code);
        $content = $yaml === null ? null : Yaml::parse($yaml);

        return is_array($content) ? $content : null;
    }

    /** @return array<string, mixed> path below the folder => content */
    private function merged(): array
    {
        $merged = [];
        foreach ($this->folders as $folder) {
            foreach ($this->decoded($folder) as $file => $content) {
                $merged[$file] = isset($merged[$file]) ? $this->override($merged[$file], $content) : $content;
            }
        }

        return $merged;
    }

    /**
     * @param  array<string, mixed>  $files
     * @param  array<string, string>  $families  code => YAML; each stands whole in place of a shipped one
     * @return array<string, mixed>
     */
    private function withFamilies(array $files, array $families): array
    {
        foreach ($families as $code => $yaml) {
            try {
                $files["families/{$code}.yaml"] = Yaml::parse($yaml);
            } catch (ParseException $e) {
                throw BadKnowledge::because([new Mistake("families/{$code}.yaml", $code, 'file', 'cannot be read: '.$e->getMessage())]);
            }
        }

        return $files;
    }

    /** Broken machines as their owners tell of them, for practice and tests. */
    public function practice(): Practice
    {
        $file = static fn (string $name): string => self::PRACTICE."/{$name}.yaml";
        $knowledge = $this->read();
        $folder = $this->folders[0];

        return new Practice(
            StoryReader::read($knowledge, $file('stories'), Yaml::parseFile("{$folder}/{$file('stories')}")),
            StoryReader::checklist($knowledge, $file('checklist'), Yaml::parseFile("{$folder}/{$file('checklist')}")),
        );
    }

    /** Changes when any file does. */
    public function print(): string
    {
        $print = '';
        foreach ($this->folders as $folder) {
            foreach ($this->paths($folder) as $path) {
                $print .= $path.'@'.filemtime($path).';';
            }
        }

        return sha1($print.$this->own->print());
    }

    /** @return array<string, mixed> path below the folder => content */
    private function decoded(string $folder): array
    {
        $files = [];
        foreach ($this->paths($folder) as $path) {
            $name = substr($path, strlen($folder) + 1);
            try {
                $files[$name] = Yaml::parseFile($path);
            } catch (ParseException $e) {
                throw BadKnowledge::because([new Mistake($name, 'line '.$e->getParsedLine(), 'file', 'cannot be read: '.$e->getMessage())]);
            }
        }

        return $files;
    }

    /** @return list<string> */
    private function paths(string $folder): array
    {
        $paths = [...(glob("{$folder}/*.yaml") ?: []), ...(glob("{$folder}/*/*.yaml") ?: [])];

        return array_values(array_filter($paths, static fn (string $path): bool => ! str_contains($path, '/'.self::PRACTICE.'/')));
    }

    private function override(mixed $base, mixed $own): mixed
    {
        foreach (['faults', 'guides'] as $list) {
            if (is_array($base) && is_array($own) && isset($base[$list], $own[$list])) {
                return [$list => $this->override($base[$list], $own[$list])] + $own + $base;
            }
        }
        if (! is_array($base) || ! is_array($own) || ! array_is_list($base) || ! array_is_list($own)) {
            return is_array($base) && is_array($own) ? array_replace($base, $own) : $own;
        }
        $byCode = [];
        foreach ([...$base, ...$own] as $i => $entry) {
            $byCode[is_array($entry) && is_string($entry['code'] ?? null) ? $entry['code'] : "#{$i}"] = $entry;
        }

        return array_values($byCode);
    }
}
