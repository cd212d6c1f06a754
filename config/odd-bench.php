<?php

declare(strict_types=1);

return [
    // Folders of knowledge files; later ones override earlier ones by code.
    'knowledge' => array_values(array_filter([base_path('knowledge'), env('SHOP_KNOWLEDGE')])),
];
