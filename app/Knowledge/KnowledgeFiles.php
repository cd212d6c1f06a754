<?php

declare(strict_types=1);

namespace App\Knowledge;

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
    public function __construct(private array $folders)
    {
    }

    /** @throws BadKnowledge with every mistake */
    public function read(): Knowledge
    {
        $merged = [];
        foreach ($this->folders as $folder) {
            foreach ($this->decoded($folder) as $file => $content) {
                $merged[$file] = isset($merged[$file]) ? $this->override($merged[$file], $content) : $content;
            }
        }

        return KnowledgeReader::read($merged);
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

        return sha1($print);
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
