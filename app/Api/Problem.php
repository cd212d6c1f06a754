<?php

declare(strict_types=1);

namespace App\Api;

use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Support\Facades\Log;
use Illuminate\Validation\ValidationException;
use OddBench\Input\InputError;
use PDOException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Throwable;

/** An error as application/problem+json (RFC 9457), with the fields it is about. */
final readonly class Problem
{
    /** SQLSTATE of a number that its column cannot hold. */
    private const OUT_OF_RANGE = '22003';

    /**
     * @param  list<array{field: string, message: string}>  $errors
     * @param  array<string, int|string>  $headers
     */
    private function __construct(private int $status, private string $detail, private array $errors = [], private array $headers = [])
    {
    }

    public static function for(Throwable $e): self
    {
        return match (true) {
            $e instanceof InputError => new self(422, $e->getMessage(), [['field' => $e->field, 'message' => $e->getMessage()]]),
            $e instanceof Refused => new self(
                $e->status,
                $e->getMessage(),
                array_map(fn (string $reason): array => ['field' => $e->field, 'message' => $reason], $e->reasons),
            ),
            $e instanceof Stale => new self(409, $e->getMessage(), [['field' => 'version', 'message' => $e->getMessage()]]),
            $e instanceof ValidationException => self::invalid($e),
            $e instanceof AuthenticationException => new self(401, 'Nobody is logged in. Log in and do it again; what you typed is kept.'),
            $e instanceof AuthorizationException => new self(
                403,
                $e->getMessage() === 'This action is unauthorized.'
                    ? 'Your role does not allow this. Ask a technician or a lead.'
                    : $e->getMessage(),
            ),
            $e instanceof TokenMismatchException => new self(419, 'The page is too old. Load it again and log in.'),
            $e instanceof ModelNotFoundException => new self(404, 'That is not here. It may have been mistyped.'),
            $e instanceof NotFoundHttpException && $e->getPrevious() instanceof ModelNotFoundException => new self(
                404,
                'That is not here. It may have been mistyped.',
            ),
            $e instanceof HttpExceptionInterface => self::http($e),
            $e instanceof PDOException && $e->getCode() === self::OUT_OF_RANGE => new self(
                404,
                'That is not here: there is no such number.',
            ),
            $e instanceof UniqueConstraintViolationException => new self(
                409,
                'Somebody did the same at the same moment. Look at it again, then do what is still right.',
            ),
            self::isAway($e) => new self(503, 'The database is away just now.', headers: ['Retry-After' => 2]),
            self::isBusy($e) => new self(
                503,
                'The database is busy with something else just now: nothing was changed. Try again in a moment; what you typed is kept.',
                headers: ['Retry-After' => 2],
            ),
            self::isFull($e) => new self(
                507,
                'The disk of the server is full: nothing was changed. Make room, then do it again; what you typed is kept on this page.',
            ),
            default => self::unexpected($e),
        };
    }

    public function response(): JsonResponse
    {
        return new JsonResponse(
            [
                'type' => 'about:blank',
                'title' => JsonResponse::$statusTexts[$this->status] ?? 'Problem',
                'status' => $this->status,
                'detail' => $this->detail,
                'errors' => $this->errors,
            ],
            $this->status,
            ['Content-Type' => 'application/problem+json'] + $this->headers,
            JSON_UNESCAPED_UNICODE,
        );
    }

    private static function invalid(ValidationException $e): self
    {
        $errors = [];
        foreach ($e->errors() as $field => $messages) {
            foreach ((array) $messages as $message) {
                $errors[] = ['field' => (string) $field, 'message' => (string) $message];
            }
        }

        return new self($e->status, $errors[0]['message'] ?? 'Something is missing.', $errors);
    }

    private static function http(HttpExceptionInterface $e): self
    {
        $detail = match ($e->getStatusCode()) {
            404 => 'There is nothing at this address.',
            405 => 'That cannot be done at this address.',
            413 => 'That is too large. A form takes up to 256 kB, a photograph 8 MB, a file to be measured 32 MB (bin/odd-bench compute takes any).',
            419 => 'The page is too old. Load it again and log in.',
            429 => 'Too many tries. Wait a minute, then try again.',
            default => $e->getMessage(),
        };
        $headers = array_intersect_key($e->getHeaders(), ['Retry-After' => 1]);

        return new self(
            $e->getStatusCode(),
            $detail,
            [],
            array_filter($headers, static fn (mixed $v): bool => is_int($v) || is_string($v)),
        );
    }

    /** The database was killed, starts, or has no room for one more: SQLSTATE class 08, 57P01 to 57P03, 53300. */
    public static function isAway(Throwable $e): bool
    {
        return $e instanceof PDOException && preg_match(
            '/SQLSTATE\[(08\w{3}|57P0[123]|53300)\]|server closed the connection|no connection to the server|terminating connection/',
            $e->getMessage(),
        ) === 1;
    }

    /** A lock or a question that took longer than anybody waits: SQLSTATE 55P03 and 57014. */
    public static function isBusy(Throwable $e): bool
    {
        return $e instanceof PDOException && preg_match('/SQLSTATE\[(55P03|57014)\]/', $e->getMessage()) === 1;
    }

    /** SQLSTATE 53100, or the system’s own words for it. */
    public static function isFull(Throwable $e): bool
    {
        return preg_match('/SQLSTATE\[53100\]|No space left on device/', $e->getMessage()) === 1;
    }

    private static function unexpected(Throwable $e): self
    {
        try {
            Log::error($e->getMessage(), ['exception' => $e]);
        } catch (Throwable) {
            // an answer is owed also when the log cannot be written
        }

        return new self(
            500,
            'Something broke on the server. Nothing was changed. Try again; if it stays, the log says why (bin/odd-bench logs laravel).',
        );
    }
}
