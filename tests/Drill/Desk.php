<?php

declare(strict_types=1);

namespace Tests\Drill;

use CurlHandle;
use RuntimeException;

/** Somebody at the page, as the server sees them: a session, keys, and writes that are sent again as the page sends them. */
final class Desk
{
    private CurlHandle $curl;

    private string $cookies;

    public int $sentAgain = 0;

    public function __construct(private readonly string $url, private readonly string $login, private readonly string $password)
    {
        $this->cookies = (string) tempnam(sys_get_temp_dir(), 'desk');
        $this->curl = curl_init();
        $this->enter();
    }

    /**
     * One try.
     *
     * @param  array<string, mixed>|string  $body
     * @return array{int, array<string, mixed>} status (0 when nobody answered), answer
     */
    public function send(string $method, string $path, array|string $body = [], ?string $key = null, float $within = 5.0): array
    {
        $this->prepare($this->curl, $method, $path, $body, $key ?? self::key(), $within);
        $text = curl_exec($this->curl);
        // what was set is in the file for whoever asks next
        curl_setopt($this->curl, CURLOPT_COOKIELIST, 'FLUSH');
        $answer = is_string($text) ? json_decode($text, true) : null;

        return [
            curl_errno($this->curl) === 0 ? (int) curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE) : 0,
            is_array($answer) ? $answer : [],
        ];
    }

    /**
     * Until it is answered, as the page does.
     *
     * @param  array<string, mixed>  $body
     * @return array{int, array<string, mixed>}
     */
    public function write(string $method, string $path, array $body = [], float $within = 30.0): array
    {
        $key = self::key();
        for ($end = microtime(true) + $within; ; usleep(150_000)) {
            [$status, $answer] = $this->send($method, $path, $body, $key);
            if ($status === 401 || $status === 419) {
                $this->enter();
            } elseif (! in_array($status, [0, 502, 503, 504], true)) {
                return [$status, $answer];
            }
            if (microtime(true) > $end) {
                return [$status, $answer];
            }
            $this->sentAgain++;
        }
    }

    /**
     * @param  array<string, mixed>  $body
     * @return array<string, mixed> what is answered; anything else than done is thrown
     */
    public function done(string $method, string $path, array $body = []): array
    {
        [$status, $answer] = $this->write($method, $path, $body);
        if ($status !== 200) {
            throw new RuntimeException("{$method} {$path}: {$status} ".json_encode($answer, JSON_UNESCAPED_UNICODE));
        }

        return $answer;
    }

    /**
     * The same write several times at the same moment, each with a key of its own.
     *
     * @param  array<string, mixed>  $body
     * @return list<int> statuses
     */
    public function together(int $times, string $method, string $path, array $body): array
    {
        $many = curl_multi_init();
        $handles = [];
        for ($i = 0; $i < $times; $i++) {
            $handles[] = $handle = curl_init();
            $this->prepare($handle, $method, $path, $body, self::key(), 20.0);
            curl_multi_add_handle($many, $handle);
        }
        do {
            curl_multi_exec($many, $running);
            curl_multi_select($many, 0.05);
        } while ($running > 0);

        return array_map(static fn (CurlHandle $h): int => (int) curl_getinfo($h, CURLINFO_RESPONSE_CODE), $handles);
    }

    private function enter(): void
    {
        for ($i = 0; $i < 100; $i++) {
            if ($this->send('GET', '/session')[0] === 200
                && $this->send('POST', '/session', ['login' => $this->login, 'password' => $this->password])[0] === 200) {
                return;
            }
            usleep(200_000);
        }
        throw new RuntimeException('Nobody can log in.');
    }

    /** @param  array<string, mixed>|string  $body */
    private function prepare(CurlHandle $curl, string $method, string $path, array|string $body, string $key, float $within): void
    {
        $token = preg_match('/XSRF-TOKEN\s+(\S+)/', (string) @file_get_contents($this->cookies), $found) === 1 ? urldecode($found[1]) : '';
        curl_reset($curl);
        curl_setopt_array($curl, [
            CURLOPT_URL => "{$this->url}/api/v1{$path}",
            CURLOPT_CUSTOMREQUEST => $method,
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_TIMEOUT_MS => (int) ($within * 1000),
            CURLOPT_COOKIEFILE => $this->cookies,
            CURLOPT_HTTPHEADER => [
                'Accept: application/json',
                is_string($body) ? 'Content-Type: image/jpeg' : 'Content-Type: application/json',
                "X-XSRF-TOKEN: {$token}",
                "Idempotency-Key: {$key}",
                'Expect:',
            ],
        ]);
        if ($method !== 'GET') {
            curl_setopt($curl, CURLOPT_POSTFIELDS, is_string($body) ? $body : ($body === [] ? '' : (string) json_encode($body)));
        }
        if ($curl === $this->curl) {
            curl_setopt($curl, CURLOPT_COOKIEJAR, $this->cookies);
        }
    }

    private static function key(): string
    {
        $hex = bin2hex(random_bytes(16));

        return sprintf(
            '%s-%s-4%s-8%s-%s',
            substr($hex, 0, 8),
            substr($hex, 8, 4),
            substr($hex, 13, 3),
            substr($hex, 17, 3),
            substr($hex, 20, 12),
        );
    }
}
