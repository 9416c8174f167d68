<?php

declare(strict_types=1);

namespace Ironwort\Core\Catalogue;

use Ironwort\Core\Aeration\AerationInputs;
use Ironwort\Core\Aeration\DegassingCalculator;
use Ironwort\Core\Aeration\OxygenBudgetCalculator;
use Ironwort\Core\Arrival\AcclimatiseCalculator;
use Ironwort\Core\Arrival\BagCalculator;
use Ironwort\Core\Arrival\QuarantineLengthCalculator;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Intake;
use Ironwort\Core\Calc\Level;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
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
use Ironwort\Core\Filter\BlockingCalculator;
use Ironwort\Core\Filter\FilterBalanceCalculator;
use Ironwort\Core\Filter\FilterCapacityCalculator;
use Ironwort\Core\Filter\FromReadingsCalculator;
use Ironwort\Core\Filter\HistoryCalculator;
use Ironwort\Core\Filter\IdleCalculator;
use Ironwort\Core\Filter\NitrateSinksCalculator;
use Ironwort\Core\Filter\NoFilterCalculator;
use Ironwort\Core\Filter\ReachCalculator;
use Ironwort\Core\Filter\SeedCalculator;
use Ironwort\Core\Filter\SinglePassCalculator;
use Ironwort\Core\Filter\SizeCalculator;
use Ironwort\Core\Filter\SolidsCalculator;
use Ironwort\Core\Filter\StageRows;
use Ironwort\Core\Filter\StartDoseCalculator;
use Ironwort\Core\Filter\WashCalculator;
use Ironwort\Core\Fish\DensityCalculator;
use Ironwort\Core\Fish\FishLoadCalculator;
use Ironwort\Core\Fish\FishRationCalculator;
use Ironwort\Core\Fish\FishWeightCalculator;
use Ironwort\Core\Fish\GrowthCalculator;
use Ironwort\Core\Fish\ShutOffCalculator;
use Ironwort\Core\Flow\AirliftCalculator;
use Ironwort\Core\Flow\FlushCalculator;
use Ironwort\Core\Flow\GravityFlowCalculator;
use Ironwort\Core\Flow\NetworkCalculator;
use Ironwort\Core\Flow\PumpDutyCalculator;
use Ironwort\Core\Flow\SplitCalculator;
use Ironwort\Core\Flow\SubmergenceCalculator;
use Ironwort\Core\Flow\TurnoverCalculator;
use Ironwort\Core\Flow\UvCalculator;
use Ironwort\Core\Incident\AnswerCalculator;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Model\FishInCalculator;
use Ironwort\Core\Model\MaturationCalculator;
use Ironwort\Core\Model\RunCalculator;
use Ironwort\Core\Units\ConvertUnitsCalculator;
use Ironwort\Core\Vessel\KnownVolumeCalculator;
use Ironwort\Core\Vessel\VesselVolumeCalculator;
use Ironwort\Core\Vessel\VolumeByMeterCalculator;
use Ironwort\Core\Vessel\VolumeBySaltCalculator;
use Ironwort\Core\Water\BufferCalculator;
use Ironwort\Core\Water\CarbonDioxideCalculator;
use Ironwort\Core\Water\HardnessDoseCalculator;
use Ironwort\Core\Water\OxygenPercentCalculator;
use Ironwort\Core\Water\OxygenSaturationCalculator;
use Ironwort\Core\Water\UnionisedAmmoniaCalculator;
use Ironwort\Core\Words\Message;

/**
 * All calculators by name. The pages, the HTTP interface and the command line use this one list.
 *
 * A calculator is made when it is asked for, and so loads nothing but what it needs itself.
 */
final class Registry
{
    /** @var array<string, Calculator> those that were asked for: their tables are read once */
    private array $made = [];

    /** @param  array<string, \Closure(): Calculator>  $makers  by the name of the calculator, in their order */
    private function __construct(private readonly array $makers) {}

    public static function standard(Library $library): self
    {
        return new self([
            'arrival.acclimatise' => static fn(): Calculator => new AcclimatiseCalculator(),
            'arrival.bag' => static fn(): Calculator => new BagCalculator(),
            'ammonia.unionised' => static fn(): Calculator => new UnionisedAmmoniaCalculator(),
            'carbonate.buffer' => static fn(): Calculator => new BufferCalculator(),
            'carbonate.co2' => static fn(): Calculator => new CarbonDioxideCalculator(),
            'carbonate.degas' => static fn(): Calculator => new DegassingCalculator(
                new AerationInputs($library->aerators()),
            ),
            'dose.binder' => static fn(): Calculator => new BinderCalculator(),
            'dose.charge' => static fn(): Calculator => new ChargeCalculator(),
            'dose.chloride_guard' => static fn(): Calculator => new ChlorideGuardCalculator(),
            'dose.conflicts' => static fn(): Calculator => new ConflictsCalculator(new Conflicts($library->agents())),
            'dose.permanganate_demand' => static fn(): Calculator => new PermanganateDemandCalculator(),
            'dose.peroxide_oxygen' => static fn(): Calculator => new PeroxideOxygenCalculator(),
            'dose.residual' => static fn(): Calculator => new ResidualCalculator(),
            'dose.salt' => static fn(): Calculator => new SaltCalculator(),
            'dose.treatment' => static fn(): Calculator => new TreatmentCalculator(
                $library->agents(),
                new Conflicts($library->agents()),
            ),
            'dose.zeolite' => static fn(): Calculator => new ZeoliteCalculator(),
            'exchange.batch' => static fn(): Calculator => new BatchCalculator(),
            'exchange.blend' => static fn(): Calculator => new BlendCalculator(),
            'exchange.carbon' => static fn(): Calculator => new CarbonCalculator(),
            'exchange.dechlorinate' => static fn(): Calculator => new DechlorinateCalculator(),
            'exchange.heat' => static fn(): Calculator => new HeatCalculator(),
            'exchange.heat_balance' => static fn(): Calculator => new HeatBalanceCalculator(),
            'exchange.plan' => static fn(): Calculator => new PlanCalculator(),
            'exchange.schools' => static fn(): Calculator => new SchoolsCalculator($library->schools()),
            'exchange.series' => static fn(): Calculator => new SeriesCalculator(),
            'exchange.trickle' => static fn(): Calculator => new TrickleCalculator(),
            'filter.balance' => static fn(): Calculator => new FilterBalanceCalculator(
                self::rows($library),
                $library->stageKinds(),
                new AerationInputs($library->aerators()),
            ),
            'filter.capacity' => static fn(): Calculator => new FilterCapacityCalculator(
                $library->media(),
                self::rows($library),
            ),
            'filter.from_readings' => static fn(): Calculator => new FromReadingsCalculator(),
            'filter.maturation' => static fn(): Calculator => new MaturationCalculator(),
            'filter.no_filter' => static fn(): Calculator => new NoFilterCalculator(),
            'filter.reach' => static fn(): Calculator => new ReachCalculator(
                self::rows($library),
                $library->stageKinds(),
            ),
            'filter.single_pass' => static fn(): Calculator => new SinglePassCalculator(),
            'filter.history' => static fn(): Calculator => new HistoryCalculator(),
            'filter.seed' => static fn(): Calculator => new SeedCalculator($library->media(), $library->stageKinds()),
            'filter.idle' => static fn(): Calculator => new IdleCalculator(),
            'service.wash' => static fn(): Calculator => new WashCalculator(),
            'filter.size' => static fn(): Calculator => new SizeCalculator($library->media(), $library->stageKinds()),
            'filter.blocking' => static fn(): Calculator => new BlockingCalculator($library->blocking()),
            'filter.solids' => static fn(): Calculator => new SolidsCalculator($library->stageKinds()),
            'filter.start_dose' => static fn(): Calculator => new StartDoseCalculator(),
            'fish.density' => static fn(): Calculator => new DensityCalculator(),
            'fish.growth' => static fn(): Calculator => new GrowthCalculator(),
            'fish.load' => static fn(): Calculator => new FishLoadCalculator(),
            'fish.ration' => static fn(): Calculator => new FishRationCalculator($library->rations()),
            'fish.shut_off' => static fn(): Calculator => new ShutOffCalculator(),
            'fish.weight' => static fn(): Calculator => new FishWeightCalculator(),
            'flow.airlift' => static fn(): Calculator => new AirliftCalculator(),
            'flow.gravity' => static fn(): Calculator => new GravityFlowCalculator(),
            'flow.network' => static fn(): Calculator => new NetworkCalculator(),
            'flow.pump' => static fn(): Calculator => new PumpDutyCalculator(),
            'flow.submergence' => static fn(): Calculator => new SubmergenceCalculator(),
            'flow.split' => static fn(): Calculator => new SplitCalculator(),
            'flow.turnover' => static fn(): Calculator => new TurnoverCalculator(),
            'flow.uv' => static fn(): Calculator => new UvCalculator(),
            'hardness.dose' => static fn(): Calculator => new HardnessDoseCalculator(),
            'incident.answer' => static fn(): Calculator => new AnswerCalculator($library->limits()),
            'model.run' => static fn(): Calculator => new RunCalculator(),
            'nitrate.sinks' => static fn(): Calculator => new NitrateSinksCalculator(),
            'quarantine.length' => static fn(): Calculator => new QuarantineLengthCalculator($library->lifeCycles()),
            'oxygen.budget' => static fn(): Calculator => new OxygenBudgetCalculator(
                new AerationInputs($library->aerators()),
            ),
            'oxygen.percent' => static fn(): Calculator => new OxygenPercentCalculator(),
            'oxygen.saturation' => static fn(): Calculator => new OxygenSaturationCalculator(),
            'units.convert' => static fn(): Calculator => new ConvertUnitsCalculator(),
            'service.flush' => static fn(): Calculator => new FlushCalculator(),
            'start.fish_in' => static fn(): Calculator => new FishInCalculator(),
            'volume.by_meter' => static fn(): Calculator => new VolumeByMeterCalculator(),
            'volume.by_salt' => static fn(): Calculator => new VolumeBySaltCalculator(),
            'volume.known' => static fn(): Calculator => new KnownVolumeCalculator(),
            'volume.vessel' => static fn(): Calculator => new VesselVolumeCalculator(),
        ]);
    }

    /** @throws UnknownCalculator */
    public function named(string $name): Calculator
    {
        $make = $this->makers[$name] ?? throw UnknownCalculator::named($name);

        return $this->made[$name] ??= $make();
    }

    /** @return array<string, Calculator> by name */
    public function all(): array
    {
        $names = array_keys($this->makers);

        return array_combine($names, array_map($this->named(...), $names));
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
            new Caution(Level::Note, Message::of('calc.assumed', ['inputs' => implode('; ', $assumed)])),
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
            array_values($this->all()),
        );
    }

    private static function rows(Library $library): StageRows
    {
        return new StageRows($library->media(), $library->stageKinds());
    }

    private static function assumption(Input $input): string
    {
        $value = is_float($input->default) ? Format::number($input->default) : var_export($input->default, true);

        return lcfirst($input->label) . ' ' . $value . ($input->unit === null ? '' : " {$input->unit}");
    }
}
