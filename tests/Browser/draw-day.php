<?php

declare(strict_types=1);

/* A day for the browser tests: now and then one of the awkward ones, else any of the next three years. Never in the past, for a
   browser whose own clock is ahead throws away what the server gives it. */

$awkward = [
    '2028-02-29T08:00Z',
    '2027-12-31T23:50Z',
    '2028-01-01T00:05Z',
    '2027-03-28T00:55Z',
    '2027-10-31T00:55Z',
    '2027-02-28T12:00Z',
    '2028-02-28T23:30Z',
];
echo random_int(0, 2) === 0 ? $awkward[array_rand($awkward)] : gmdate('Y-m-d\TH:i\Z', time() + random_int(86_400, 3 * 365 * 86_400)), "\n";
