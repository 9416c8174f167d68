<?php

declare(strict_types=1);

namespace Ironwort\Core\Calc;

use Ironwort\Core\Aeration\AerationInputs;
use Ironwort\Core\Aeration\DegassingCalculator;
use Ironwort\Core\Aeration\OxygenBudgetCalculator;
use Ironwort\Core\Data\Library;
use Ironwort\Core\Dose\BinderCalculator;
use Ironwort\Core\Dose\ChargeCalculator;
use Ironwort\Core\Dose\ChlorideGuardCalculator;
use Ironwort\Core\Dose\Conflicts;
use Ironwort\Core\Dose\ConflictsCalculator;
use Ironwort\Core\Dose\PermanganateDemandCalculator;
use Ironwort\Core\Dose\PeroxideOxygenCalculator;
use Ironwort\Core\Dose\ResidualCalculator;
use Ironwort\Core\Dose\SaltCalculator;
use Ironwort\Core\Dose\TreatmentCalculator;
use Ironwort\Core\Dose\ZeoliteCalculator;
use Ironwort\Core\Exchange\BatchCalculator;
use Ironwort\Core\Exchange\BlendCalculator;
use Ironwort\Core\Exchange\CarbonCalculator;
use Ironwort\Core\Exchange\DechlorinateCalculator;
use Ironwort\Core\Exchange\HeatBalanceCalculator;
use Ironwort\Core\Exchange\HeatCalculator;
use Ironwort\Core\Exchange\PlanCalculator;
use Ironwort\Core\Exchange\SchoolsCalculator;
use Ironwort\Core\Exchange\SeriesCalculator;
use Ironwort\Core\Exchange\TrickleCalculator;
use Ironwort\Core\Filter\FilterBalanceCalculator;
use Ironwort\Core\Filter\FilterCapacityCalculator;
use Ironwort\Core\Filter\FromReadingsCalculator;
use Ironwort\Core\Filter\NitrateSinksCalculator;
use Ironwort\Core\Filter\NoFilterCalculator;
use Ironwort\Core\Filter\ReachCalculator;
use Ironwort\Core\Filter\SinglePassCalculator;
use Ironwort\Core\Filter\SizeCalculator;
use Ironwort\Core\Filter\SolidsCalculator;
use Ironwort\Core\Filter\StageRows;
use Ironwort\Core\Filter\StartDoseCalculator;
use Ironwort\Core\Fish\FishLoadCalculator;
use Ironwort\Core\Fish\FishRationCalculator;
use Ironwort\Core\Fish\FishWeightCalculator;
use Ironwort\Core\Fish\ShutOffCalculator;
use Ironwort\Core\Flow\AirliftCalculator;
use Ironwort\Core\Flow\GravityFlowCalculator;
use Ironwort\Core\Flow\NetworkCalculator;
use Ironwort\Core\Flow\PumpDutyCalculator;
use Ironwort\Core\Flow\SplitCalculator;
use Ironwort\Core\Flow\TurnoverCalculator;
use Ironwort\Core\Flow\UvCalculator;
use Ironwort\Core\Incident\AnswerCalculator;
use Ironwort\Core\Measure\ConvertUnitsCalculator;
use Ironwort\Core\Measure\Say;
use Ironwort\Core\Model\MaturationCalculator;
use Ironwort\Core\Model\RunCalculator;
use Ironwort\Core\Vessel\VesselVolumeCalculator;
use Ironwort\Core\Vessel\VolumeByMeterCalculator;
use Ironwort\Core\Vessel\VolumeBySaltCalculator;
use Ironwort\Core\Water\BufferCalculator;
use Ironwort\Core\Water\CarbonDioxideCalculator;
use Ironwort\Core\Water\HardnessDoseCalculator;
use Ironwort\Core\Water\OxygenPercentCalculator;
use Ironwort\Core\Water\OxygenSaturationCalculator;
use Ironwort\Core\Water\UnionisedAmmoniaCalculator;

/** All calculators by name. The pages, the HTTP interface and the command line use this one list. */
final readonly class Registry
{
    /** @var array<string, Calculator> */
    private array $calculators;

    public function __construct(Calculator ...$calculators)
    {
        $named = [];
        foreach ($calculators as $calculator) {
            $named[$calculator->name()] = $calculator;
        }
        ksort($named);
        $this->calculators = $named;
    }

    public static function standard(Library $library): self
    {
        $rows = new StageRows($library->media(), $library->stageKinds());
        $aeration = new AerationInputs($library->aerators());

        $conflicts = new Conflicts($library->agents());

        return new self(
            new ConvertUnitsCalculator(),
            new UnionisedAmmoniaCalculator(),
            new OxygenSaturationCalculator(),
            new OxygenPercentCalculator(),
            new VesselVolumeCalculator(),
            new FishWeightCalculator(),
            new FishRationCalculator($library->rations()),
            new FishLoadCalculator(),
            new ShutOffCalculator(),
            new VolumeBySaltCalculator(),
            new VolumeByMeterCalculator(),
            new HeatCalculator(),
            new GravityFlowCalculator(),
            new AirliftCalculator(),
            new UvCalculator(),
            new TurnoverCalculator(),
            new PumpDutyCalculator(),
            new NetworkCalculator(),
            new SplitCalculator(),
            new CarbonDioxideCalculator(),
            new DegassingCalculator($aeration),
            new OxygenBudgetCalculator($aeration),
            new FilterCapacityCalculator($library->media(), $rows),
            new FilterBalanceCalculator($rows, $library->stageKinds(), $aeration),
            new SinglePassCalculator(),
            new ReachCalculator($rows, $library->stageKinds()),
            new NoFilterCalculator(),
            new FromReadingsCalculator(),
            new SizeCalculator($library->media(), $library->stageKinds()),
            new SolidsCalculator($library->stageKinds()),
            new NitrateSinksCalculator(),
            new RunCalculator(),
            new AnswerCalculator($library->limits()),
            new MaturationCalculator(),
            new StartDoseCalculator(),
            new ConflictsCalculator($conflicts),
            new TreatmentCalculator($library->agents(), $conflicts),
            new BinderCalculator(),
            new ZeoliteCalculator(),
            new ChargeCalculator(),
            new SaltCalculator(),
            new ChlorideGuardCalculator(),
            new ResidualCalculator(),
            new PermanganateDemandCalculator(),
            new PeroxideOxygenCalculator(),
            new BatchCalculator(),
            new SeriesCalculator(),
            new TrickleCalculator(),
            new PlanCalculator(),
            new SchoolsCalculator($library->schools()),
            new HeatBalanceCalculator(),
            new BlendCalculator(),
            new DechlorinateCalculator(),
            new CarbonCalculator(),
            new BufferCalculator(),
            new HardnessDoseCalculator(),
        );
    }

    /** @throws UnknownCalculator */
    public function named(string $name): Calculator
    {
        return $this->calculators[$name] ?? throw UnknownCalculator::named($name);
    }

    /** @return list<Calculator> */
    public function all(): array
    {
        return array_values($this->calculators);
    }

    /**
     * Checks the input, calculates, and names every default that stood in as assumed.
     *
     * @param  array<array-key, mixed>  $raw
     *
     * @throws BadInput|UnknownCalculator
     */
    public function run(string $name, array $raw): Result
    {
        $calculator = $this->named($name);
        $given = (new Intake($calculator->inputs()))->read($raw);
        $result = $calculator->calculate($given);
        if ($given->assumed === []) {
            return $result;
        }
        $assumed = array_map(static fn(Input $input): string => self::assumption($input), $given->assumed);

        return $result->withCaution(
            new Caution(Level::Note, 'Assumed, because not given: ' . implode('; ', $assumed) . '.'),
        );
    }

    /**
     * @return list<array{name: string, title: string, inputs: list<array<string, mixed>>,
     *     outputs: list<array{key: string,
     *     unit: ?string}>}>
     */
    public function describe(): array
    {
        return array_map(
            static fn(Calculator $calculator): array => [
                'name' => $calculator->name(),
                'title' => $calculator->title(),
                'inputs' => array_map(static fn(Input $input): array => $input->describe(), $calculator->inputs()),
                'outputs' => array_map(static fn(Output $output): array => $output->describe(), $calculator->outputs()),
            ],
            $this->all(),
        );
    }

    private static function assumption(Input $input): string
    {
        $value = is_float($input->default) ? Say::number($input->default) : var_export($input->default, true);

        return lcfirst($input->label) . ' ' . $value . ($input->unit === null ? '' : " {$input->unit}");
    }
}
