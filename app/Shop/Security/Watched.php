<?php

declare(strict_types=1);

namespace App\Shop\Security;

/** What is written down of who did what: each of these, done or refused. */
final readonly class Watched
{
    /** Route => what it is, in words. */
    public const ROUTES = [
        'POST api/v1/session' => 'logged in',
        'POST api/v1/session/pin' => 'took a shared tablet over',
        'POST api/v1/session/code' => 'set a password with a code',
        'PUT api/v1/session/password' => 'changed the own password',
        'PUT api/v1/session/pin' => 'set a PIN',
        'DELETE api/v1/session' => 'logged out',
        'POST api/v1/shop' => 'opened the shop',
        'POST api/v1/people' => 'added somebody',
        'PUT api/v1/people/{person}' => 'changed somebody',
        'POST api/v1/people/{person}/code' => 'gave somebody a code',
        'DELETE api/v1/people/{person}' => 'somebody left',
        'POST api/v1/tokens' => 'made a token for a script',
        'DELETE api/v1/tokens/{token}' => 'took a token away',
        'PUT api/v1/settings' => 'changed settings',
        'POST api/v1/jobs/{job}/red-tag/off' => 'signed first for a red tag to come off',
        'POST api/v1/jobs/{job}/red-tag/countersignature' => 'signed a red tag off',
        'POST api/v1/jobs/{job}/red-tag/supervised-test' => 'signed for a powered test',
        'POST api/v1/jobs/{job}/proofs/waiver' => 'waived a proof',
        'POST api/v1/jobs/{job}/release' => 'signed a machine out',
        'POST api/v1/jobs/{job}/split' => 'wrote a machine off to be split',
        'POST api/v1/jobs/{job}/bill' => 'wrote a bill',
        'POST api/v1/money/sales/{tag}' => 'sold a machine',
        'POST api/v1/money/offers/{offer}/purchase' => 'bought a machine',
        'PUT api/v1/money/terms' => 'changed prices and terms',
        'GET files/ledger.csv' => 'exported the ledger',
        'GET files/bills.csv' => 'exported bills',
        'PATCH api/v1/parts/{number}' => 'changed a part',
        'PUT api/v1/parts/{number}/supply' => 'changed prices and supply',
        'POST api/v1/parts/{number}/movements' => 'moved stock by hand',
        'POST api/v1/stocktakes/{stocktake}/end' => 'posted or gave up a stocktake',
        'POST api/v1/stock-files/{file}/apply' => 'applied a table of stock',
        'POST api/v1/machines/table' => 'brought machines in by table',
        'DELETE api/v1/papers/{paper}' => 'withdrew a paper',
        'PUT api/v1/machines/{tag}/warranty' => 'changed a warranty',
        'POST api/v1/machines' => 'made a machine known',
        'PUT api/v1/machines/{tag}/known' => 'edited a machine',
        'POST api/v1/machines/{tag}/page-key' => 'renewed the code of a label',
        'PUT api/v1/owners/{owner}' => 'changed an owner',
        'POST api/v1/owners/{owner}/merge' => 'merged two owners',
        'POST api/v1/owners/{owner}/erase' => 'erased an owner',
        'GET files/owners/{owner}.json' => 'exported an owner',
        'GET files/machines.csv' => 'exported machines',
        'GET files/stock/{kind}.csv' => 'exported stock',
        'GET files/orders/{order}.csv' => 'exported an order',
    ];

    public static function words(string $method, string $uri): ?string
    {
        return self::ROUTES["{$method} {$uri}"] ?? null;
    }
}
