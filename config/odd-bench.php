<?php

declare(strict_types=1);

return [
    // Seconds of a proof run for each real one; over 1 only with simulated printers that run as fast.
    'prover_speed' => (float) env('PROVER_SPEED', 1),
    // Where the demo's three simulated printers listen.
    'rig_ports' => array_map(intval(...), explode(',', (string) env('RIG_PORTS', '8641,8642,8643'))),
    // “any” where tests start simulated printers on whatever port is free.
    'loopback_printers' => (string) env('LOOPBACK_PRINTERS', ''),
    // How often somebody may try to log in within a minute; more only where tests log in again and again.
    'login_tries' => (int) env('LOGIN_TRIES', 6),
    'requests_a_minute' => (int) env('REQUESTS_A_MINUTE', 900),
    // A real shop: no demo command works on it and no demo login is shown.
    'real' => (bool) env('REAL_SHOP', false),
    // A public key of age: backups are encrypted with it. A folder: a copy of each backup goes there.
    'backup_key' => (string) env('BACKUP_KEY', ''),
    'backup_to' => (string) env('BACKUP_TO', ''),
    // Where phones and owners reach the page, for the codes on labels; the address somebody uses when nothing is said.
    'public_url' => rtrim((string) env('PUBLIC_URL', ''), '/'),
    // Where a tablet gets the certificate of the shop's own authority, and its print; empty where the page is on this machine alone.
    'trust_address' => (string) env('TRUST_URL', ''),
    'trust_print' => (string) env('TRUST_PRINT', ''),
    // Families of the shop's own stand in its database, where there is one.
    'own_families' => env('DB_PASSWORD') !== null,
    // Folders of knowledge files; later ones override earlier ones by code.
    'knowledge' => array_values(array_filter([base_path('knowledge'), env('SHOP_KNOWLEDGE')])),
];
