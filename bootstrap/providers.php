<?php

declare(strict_types=1);

return [
    App\Shop\ShopServiceProvider::class,
    App\Knowledge\KnowledgeServiceProvider::class,
    App\Machines\MachinesServiceProvider::class,
    App\Intake\IntakeServiceProvider::class,
    App\Safety\SafetyServiceProvider::class,
    App\Diagnosis\DiagnosisServiceProvider::class,
    App\Repair\RepairServiceProvider::class,
    App\Proof\ProofServiceProvider::class,
    App\Release\ReleaseServiceProvider::class,
    App\Fleet\FleetServiceProvider::class,
    App\Money\MoneyServiceProvider::class,
    App\Plan\PlanServiceProvider::class,
    App\JobScreen\JobScreenServiceProvider::class,
];
