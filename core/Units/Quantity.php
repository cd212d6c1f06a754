<?php

declare(strict_types=1);

namespace OddBench\Units;

/**
 * What a computation is told, and between which bounds it is a measure of anything on a machine like these: beyond them a
 * figure was mistyped, or is in another unit. Bounds are common practice; where 0 stands for none, the least is that of what is
 * there.
 */
enum Quantity
{
    case BenchMinute;

    case WaitingDay;

    case Jobs;

    case MachineHours;

    case HoursPerWeek;

    case Rating;

    case PrintHeight;

    case ScrewPitch;

    case BedPosition;

    case BedHeight;

    case PluckPitch;

    case BeltMass;

    case BeltSpan;

    case BeltWidth;

    case BeltMassPerWidth;

    case Acceleration;

    case Friction;

    case MovingMass;

    case ElementOhm;

    case SupplyVolts;

    case LoadVolts;

    case ElementCelsius;

    case ThreadDiameter;

    case ScrewLength;

    case Engagement;

    case ScrewRoom;

    case FilamentDensity;

    case FilamentDiameter;

    case MeasuredDiameter;

    case FilamentLength;

    case SpoolMass;

    case FilamentMass;

    case FilamentVolume;

    case PricePerKg;

    case LayerHeight;

    case LineWidth;

    case NozzleBore;

    case MeasuredLayer;

    case SlabBed;

    case SlabBedCelsius;

    case SlabFeed;

    case SlabLength;

    case SlabNozzleCelsius;

    case SlabShare;

    case SlabWidth;

    case SlabLayer;

    case BuildSize;

    case JunctionDeviation;

    case LogInterval;

    case HeatUpTime;

    case HeatUpStart;

    case HeatCapacity;

    case HeatLoss;

    case HeatRise;

    case HeatTarget;

    case RatedWatts;

    case MeasuredOhm;

    case SwingHeight;

    case SwingPeriod;

    case RelayStep;

    case LogTime;

    case Hysteresis;

    case RunawayPeriod;

    case SteinhartA;

    case SteinhartB;

    case SteinhartC;

    case SensorBeta;

    case ThermistorOhm;

    case RtdOhm;

    case SensorReference;

    case SensorOhm;

    case PullUpOhm;

    case RoomCelsius;

    case ConverterBits;

    case FeedAsked;

    case StepsPerMm;

    case ScrewLead;

    case BeltPitch;

    case Microsteps;

    case MotorSteps;

    case PulleyTeeth;

    case WireAmps;

    case WireArea;

    case WireLength;

    case WireAir;

    case WireCelsius;

    case WireVolts;

    case WireGauge;

    case FastenerCount;

    case KitCount;

    case PartCount;

    case ServiceLevel;

    case WeeklyDemand;

    case LeadSpread;

    case LeadTime;

    case ReviewTime;

    case HoldingShare;

    case MoneySpent;

    case UnitCost;

    case ShelfLife;

    case Smoothing;

    case WeekDemand;

    case PackSize;

    case FrameSide;

    case PartCost;

    case WaitingDays;

    case Sum;

    case PieceCost;

    case HandsMinutes;

    case Chance;

    case TaxShare;

    case Markup;

    case WaitingWeeks;

    case IdleDays;

    case LifeHours;

    case LifeShape;

    case PriorFailures;

    case ChangeCost;

    case FleetSize;

    case SureLevel;

    case PlanMinute;

    case PlanDue;

    case PlanWeight;

    case StepMinutes;

    case StepAlone;

    case AheadMinutes;

    case DayMinutes;

    case PartDays;

    case LateDays;

    /** @return array{float|int, float|int, string} least, most, unit */
    public function bounds(): array
    {
        return match ($this) {
            self::BenchMinute => [0.01, 10_000, ''],
            self::WaitingDay => [0, 1_000_000, ''],
            self::Jobs => [0, 10_000_000, 'jobs'],
            self::MachineHours => [0, 1_000_000, 'h'],
            self::HoursPerWeek => [0, 168, 'h'],
            self::Rating => [-1_000_000, 1_000_000, ''],
            self::PrintHeight => [0, 5000, 'mm'],
            self::ScrewPitch => [0.2, 3, 'mm'],
            self::BedPosition => [-1500, 1500, 'mm'],
            self::BedHeight => [-20, 20, 'mm'],
            self::PluckPitch => [5, 2000, 'Hz'],
            self::BeltMass => [0.5, 200, 'g/m'],
            self::BeltSpan => [30, 1500, 'mm'],
            self::BeltWidth => [2, 50, 'mm'],
            self::BeltMassPerWidth => [0.3, 10, 'g/m per mm'],
            self::Acceleration => [10, 60_000, 'mm/s²'],
            self::Friction => [0, 200, 'N'],
            self::MovingMass => [0.01, 30, 'kg'],
            self::ElementOhm => [0.2, 1000, 'Ω'],
            self::SupplyVolts => [3, 260, 'V'],
            self::LoadVolts => [0.5, 260, 'V'],
            self::ElementCelsius => [-40, 300, '°C'],
            self::ThreadDiameter => [1.2, 13, 'mm'],
            self::ScrewLength => [2, 120, 'mm'],
            self::Engagement => [0, 120, 'mm'],
            self::ScrewRoom => [0, 200, 'mm'],
            self::FilamentDensity => [0.5, 8, 'g/cm³'],
            self::FilamentDiameter => [1, 3.5, 'mm'],
            self::MeasuredDiameter => [0.5, 4, 'mm'],
            self::FilamentLength => [0.001, 20_000, 'm'],
            self::SpoolMass => [1, 20_000, 'g'],
            self::FilamentMass => [0.001, 50_000, 'g'],
            self::FilamentVolume => [0.001, 50_000, 'cm³'],
            self::PricePerKg => [0, 10_000, ''],
            self::LayerHeight => [0.04, 1.5, 'mm'],
            self::LineWidth => [0.1, 4, 'mm'],
            self::NozzleBore => [0.1, 2, 'mm'],
            self::MeasuredLayer => [0.01, 3, 'mm'],
            self::SlabBed => [60, 1000, 'mm'],
            self::SlabBedCelsius => [0, 130, '°C'],
            self::SlabFeed => [5, 300, 'mm/s'],
            self::SlabLength => [20, 1000, 'mm'],
            self::SlabNozzleCelsius => [150, 300, '°C'],
            self::SlabShare => [0.2, 0.98, ''],
            self::SlabWidth => [5, 100, 'mm'],
            self::SlabLayer => [0.05, 0.6, 'mm'],
            self::BuildSize => [20, 2000, 'mm'],
            self::JunctionDeviation => [0.001, 1, 'mm'],
            self::LogInterval => [0.01, 60, 's'],
            self::HeatUpTime => [1, 20_000, 's'],
            self::HeatUpStart => [-40, 400, '°C'],
            self::HeatCapacity => [0.5, 100_000, 'J/K'],
            self::HeatLoss => [0, 100, 'W/K'],
            self::HeatRise => [1, 400, '°C'],
            self::HeatTarget => [1, 450, '°C'],
            self::RatedWatts => [2, 3000, 'W'],
            self::MeasuredOhm => [0.001, 100_000_000, 'Ω'],
            self::SwingHeight => [0.01, 100, '°C'],
            self::SwingPeriod => [0.1, 3600, 's'],
            self::RelayStep => [0.001, 100_000, ''],
            self::LogTime => [0, 1_000_000, 's'],
            self::Hysteresis => [0.5, 50, '°C'],
            self::RunawayPeriod => [1, 600, 's'],
            self::SteinhartA => [-0.01, 0.01, ''],
            self::SteinhartB => [1e-6, 0.01, ''],
            self::SteinhartC => [-1e-5, 1e-5, ''],
            self::SensorBeta => [500, 10_000, 'K'],
            self::ThermistorOhm => [10, 10_000_000, 'Ω'],
            self::RtdOhm => [10, 10_000, 'Ω'],
            self::SensorReference => [-50, 300, '°C'],
            self::SensorOhm => [0.001, 1000000000.0, 'Ω'],
            self::PullUpOhm => [10, 1_000_000, 'Ω'],
            self::RoomCelsius => [-30, 120, '°C'],
            self::ConverterBits => [8, 24, ''],
            self::FeedAsked => [5, 1000, 'mm'],
            self::StepsPerMm => [1, 20_000, 'steps/mm'],
            self::ScrewLead => [0.2, 100, 'mm'],
            self::BeltPitch => [0.5, 20, 'mm'],
            self::Microsteps => [1, 256, ''],
            self::MotorSteps => [20, 1000, ''],
            self::PulleyTeeth => [6, 200, ''],
            self::WireAmps => [0.001, 200, 'A'],
            self::WireArea => [0.005, 120, 'mm²'],
            self::WireLength => [0.01, 100, 'm'],
            self::WireAir => [-40, 100, '°C'],
            self::WireCelsius => [-40, 200, '°C'],
            self::WireVolts => [1, 400, 'V'],
            self::WireGauge => [0, 40, ''],
            self::FastenerCount => [0, 200, ''],
            self::KitCount => [1, 1000, ''],
            self::PartCount => [0, 1_000_000, ''],
            self::ServiceLevel => [0.5, 0.9999, ''],
            self::WeeklyDemand => [1e-6, 10_000, ''],
            self::LeadSpread => [0.001, 104, 'weeks'],
            self::LeadTime => [0.01, 104, 'weeks'],
            self::ReviewTime => [0.01, 52, 'weeks'],
            self::HoldingShare => [0.1, 200, '%'],
            self::MoneySpent => [0, 1000000000.0, ''],
            self::UnitCost => [0, 10_000_000, ''],
            self::ShelfLife => [1, 1040, 'weeks'],
            self::Smoothing => [0.01, 1, ''],
            self::WeekDemand => [0, 100_000, ''],
            self::PackSize => [1, 100_000, ''],
            self::FrameSide => [10, 2500, 'mm'],
            self::PartCost => [0, 1e7, ''],
            self::WaitingDays => [0, 3650, 'days'],
            self::Sum => [0, 1_000_000_000, ''],
            self::PieceCost => [0, 100_000_000, ''],
            self::HandsMinutes => [0, 100_000, 'min'],
            self::Chance => [0, 1, ''],
            self::TaxShare => [0, 100, '%'],
            self::Markup => [0, 1000, '%'],
            self::WaitingWeeks => [0, 520, 'weeks'],
            self::IdleDays => [0, 36_500, 'days'],
            self::LifeHours => [0.01, 1_000_000, 'h'],
            self::LifeShape => [0.2, 30, ''],
            self::PriorFailures => [0.1, 100, ''],
            self::ChangeCost => [0.01, 100_000_000, ''],
            self::FleetSize => [0, 20_000, 'machines'],
            self::SureLevel => [0.5, 0.9999, ''],
            self::PlanMinute => [0, 200_000, 'min'],
            self::PlanDue => [-200_000, 200_000, 'min'],
            self::PlanWeight => [0, 1_000_000, ''],
            self::StepMinutes => [0, 10_000, 'min'],
            self::StepAlone => [0, 100_000, 'min'],
            self::AheadMinutes => [0, 1_000_000, 'min'],
            self::DayMinutes => [1, 10_000, 'min'],
            self::PartDays => [0, 400, 'days'],
            self::LateDays => [-60, 365, 'days'],
        };
    }
}
