<?php

return [
    App\Knowledge\KnowledgeServiceProvider::class,
    App\Proof\ProofServiceProvider::class,
    App\Shop\ShopServiceProvider::class,
];
