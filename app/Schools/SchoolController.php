<?php

declare(strict_types=1);

namespace App\Schools;

use App\Http\Controller;
use App\Models\SchoolChoice;
use App\Models\System;
use App\Readings\LimitController;
use App\Readings\LimitsInForce;
use Illuminate\Http\JsonResponse;
use Ironwort\Core\Judge\SchoolTable;

/** The schools a system follows: tried out first, then followed. */
final class SchoolController extends Controller
{
    public function try(SchoolRequest $request, System $system, SchoolTable $schools, SchoolTrial $trial): JsonResponse
    {
        $topic = $request->topic($schools);

        return new JsonResponse($trial->of($system, $topic, $request->school($topic)));
    }

    /** The school a system follows in one topic, or back to what is usual. */
    public function put(
        SchoolRequest $request,
        System $system,
        LimitController $page,
        LimitsInForce $judging,
        SchoolTable $schools,
    ): JsonResponse {
        $topic = $request->topic($schools);
        $forSite = $request->forSite();
        $school = $request->school($topic);
        $choice = ['system_id' => $forSite ? null : $system->id, 'topic' => $topic->id, 'site_id' => $system->site_id];
        // Whoever follows what holds anyway has chosen nothing; another school than the site's is a choice.
        $holds = $forSite
            ? array_key_first($topic->schools)
            : $system->site->schools->firstWhere('topic', $topic->id)->school ?? array_key_first($topic->schools);
        if ($school === null || $school === $holds) {
            SchoolChoice::query()->where($choice)->delete();
        } else {
            SchoolChoice::query()->updateOrCreate($choice, [
                'school' => $school,
                'reason' => $request->reason(),
                'user_id' => $this->person($request)->id,
            ]);
        }
        $system->unsetRelation('schools')->unsetRelation('site');

        return $page->show($system, $judging);
    }
}
