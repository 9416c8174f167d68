<?php

declare(strict_types=1);

namespace App\Providers;

use App\Arrivals\QuarantineReport;
use App\Expected\ExpectedWater;
use App\Expected\Residuals;
use App\Fish\FeedPlan;
use App\Fish\SteadyWater;
use App\Http\QueryCount;
use App\Http\RequestLog;
use App\Living\LoadOverTime;
use App\Living\Past;
use App\Models\User;
use App\State\Carried;
use App\Volumes\LoopSums;
use App\Volumes\VolumeReport;
use App\Volumes\WaterBodies;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;
use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Dose\AgentTable;
use Ironwort\Core\Filter\MediaTable;
use Ironwort\Core\Filter\StageKinds;
use Ironwort\Core\Fish\RationTable;
use Ironwort\Core\Flow\FittingTable;
use Ironwort\Core\Incident\SuspectTable;
use Ironwort\Core\Judge\LimitTable;
use Ironwort\Core\Judge\SchoolTable;
use Ironwort\Core\Judge\TestSchedule;
use Ironwort\Core\Service\JobTable;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        Connection::resolverFor(
            'pgsql',
            static fn(\Closure|\PDO $pdo, string $database, string $prefix, array $config) => new ExactConnection(
                $pdo,
                $database,
                $prefix,
                $config,
            ),
        );
        $this->app->singleton(QueryCount::class);
        $this->app->singleton(RequestLog::class);
        $this->app->singleton(Library::class, static fn(): Library => Library::shipped());
        $this->app->singleton(
            Registry::class,
            static fn(Application $app): Registry => Registry::standard($app->make(Library::class)),
        );
        $this->app->singleton(
            LimitTable::class,
            static fn(Application $app): LimitTable => $app->make(Library::class)->limits(),
        );
        $this->app->singleton(
            SchoolTable::class,
            static fn(Application $app): SchoolTable => $app->make(Library::class)->schools(),
        );
        $this->app->singleton(
            JobTable::class,
            static fn(Application $app): JobTable => $app->make(Library::class)->jobs(),
        );
        $this->app->singleton(
            SuspectTable::class,
            static fn(Application $app): SuspectTable => $app->make(Library::class)->suspects(),
        );
        $this->app->singleton(
            TestSchedule::class,
            static fn(Application $app): TestSchedule => $app->make(Library::class)->testSchedule(),
        );
        $this->app->singleton(
            MediaTable::class,
            static fn(Application $app): MediaTable => $app->make(Library::class)->media(),
        );
        $this->app->singleton(
            AgentTable::class,
            static fn(Application $app): AgentTable => $app->make(Library::class)->agents(),
        );
        $this->app
            ->when(QuarantineReport::class)
            ->needs('$cycles')
            ->give(static fn(Application $app): array => $app->make(Library::class)->lifeCycles());
        $this->app->singleton(
            RationTable::class,
            static fn(Application $app): RationTable => $app->make(Library::class)->rations(),
        );
        $this->app->singleton(
            FittingTable::class,
            static fn(Application $app): FittingTable => $app->make(Library::class)->fittings(),
        );
        $this->app->singleton(
            StageKinds::class,
            static fn(Application $app): StageKinds => $app->make(Library::class)->stageKinds(),
        );
        $this->sharedByARequest();
    }

    /** These keep nothing in mind and many rest on them: made once for a request, not sixty times for a page. */
    private function sharedByARequest(): void
    {
        foreach (
            [
                LoopSums::class,
                VolumeReport::class,
                WaterBodies::class,
                SteadyWater::class,
                FeedPlan::class,
                LoadOverTime::class,
                Past::class,
                ExpectedWater::class,
                Residuals::class,
                // What it has looked up is known by what it rests on.
                Carried::class,
            ]
            as $one
        ) {
            $this->app->scoped($one);
        }
    }

    public function boot(): void
    {
        JsonResource::withoutWrapping();
        Event::listen(QueryExecuted::class, fn() => $this->app->make(QueryCount::class)->one());
        Model::shouldBeStrict(!$this->app->environment('production'));
        Gate::define('write', static fn(User $user): bool => $user->role->writes());
        $this->codeAsItIsWritten();
    }

    /** With bin/dev pages that came by its door take their code from there; all others have the built one. */
    private function codeAsItIsWritten(): void
    {
        $hot = getenv('IRONWORT_HOT');
        if (is_string($hot) && $hot !== '' && $this->app->make('request')->headers->has('X-Ironwort-Dev')) {
            Vite::useHotFile($hot);
        }
    }
}
