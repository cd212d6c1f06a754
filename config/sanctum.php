<?php

declare(strict_types=1);

// tokens for scripts; people log in with a session
return ['routes' => false, 'guard' => [], 'expiration' => null, 'token_prefix' => 'ob_', 'middleware' => []];
