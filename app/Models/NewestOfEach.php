<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;

/** The newest few entries of every one of many systems, in one query: for each system one step into the index. */
final readonly class NewestOfEach
{
    /**
     * @template T of Model
     *
     * @param  Collection<int, System>  $systems
     * @param  Builder<T>  $entries  of all systems, in order, the newest first
     * @return array<string, Collection<int, T>> by system id
     */
    public static function of(Collection $systems, Builder $entries, int $most): array
    {
        $model = $entries->getModel();
        $one = $entries->clone()->whereColumn('system_id', 's.id')->limit($most)->toBase();
        $rows = $model
            ->newQuery()
            ->setEagerLoads($entries->getEagerLoads())
            ->from('systems as s')
            ->joinLateral($one, 'one')
            ->whereIn('s.id', $systems->modelKeys())
            ->select('one.*');
        /** @var list<array{column: string, direction: 'asc'|'desc'}> $orders */
        $orders = $one->orders ?? [];
        foreach ($orders as $order) {
            $rows->orderBy("one.{$order['column']}", $order['direction']);
        }
        $newest = [];
        foreach ($systems as $system) {
            $newest[$system->id] = $model->newCollection();
        }
        foreach ($rows->get() as $row) {
            /** @var string $id */
            $id = $row->getAttribute('system_id');
            $newest[$id]->push($row);
        }

        return $newest;
    }
}
