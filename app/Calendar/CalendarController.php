<?php

declare(strict_types=1);

namespace App\Calendar;

use App\Http\Controller;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** The calendar of a site: a page, and a feed at an address that only its owner knows and can take back. */
final class CalendarController extends Controller
{
    private const PAGE_D = 14;

    /** What comes again stands once in the feed: further than this nothing of it is worked out. */
    private const FEED_D = 370;

    public function __construct(private readonly CalendarReport $report) {}

    public function show(Request $request): JsonResponse
    {
        $person = $this->person($request);
        $site = $person->site;
        $now = Carbon::now($site->timezone);
        $items = $this->report->of($site, $now->copy()->addDays(self::PAGE_D)->endOfDay());
        $days = [];
        for ($n = 0; $n <= self::PAGE_D; $n++) {
            $days[$now->copy()->addDays($n)->toDateString()] = [];
        }
        $late = [];
        foreach ($items as $item) {
            $row = [
                'kind' => $item->kind,
                'system' => $item->system?->slug,
                'system_name' => $item->system?->name,
                'text' => $item->text,
                'minutes' => $item->minutes,
            ];
            if ($item->late()) {
                $late[] = $row;
            } else {
                $days[$item->at->copy()->setTimezone($site->timezone)->toDateString()][] = $row;
            }
        }

        return new JsonResponse([
            'late' => $late,
            'days' => array_map(
                static fn(string $day, array $rows): array => ['day' => $day, 'items' => $rows],
                array_keys($days),
                array_values($days),
            ),
            'followed' => User::query()->whereKey($person->id)->whereNotNull('calendar_key')->exists(),
        ]);
    }

    /** A new address of the feed; the one before it leads nowhere from now on. It is told once. */
    public function open(Request $request): JsonResponse
    {
        $key = Str::random(40);
        $this->person($request)->update(['calendar_key' => hash('sha256', $key)]);

        return new JsonResponse(['url' => url("/api/calendar/feed/{$key}")]);
    }

    public function close(Request $request): JsonResponse
    {
        $this->person($request)->update(['calendar_key' => null]);

        return new JsonResponse(['url' => null]);
    }

    /** Whoever knows the address reads it: a calendar does not sign in. */
    public function feed(string $key): Response
    {
        $person =
            User::query()->where('calendar_key', hash('sha256', $key))->first() ?? throw new NotFoundHttpException();
        $items = $this->report->of($person->site, Carbon::now()->addDays(self::FEED_D));

        return new Response(Feed::of($person->site, $items), 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => 'inline; filename="ironwort.ics"',
        ]);
    }
}
