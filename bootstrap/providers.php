<?php

return [
    App\Knowledge\KnowledgeServiceProvider::class,
    App\Shop\ShopServiceProvider::class,
];
