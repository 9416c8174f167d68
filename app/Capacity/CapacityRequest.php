<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Http\FormRequest;

/** The conditions and what-ifs of the Capacity page, as typed. */
class CapacityRequest extends FormRequest
{
    public const CONDITIONS = ['temp_c', 'ph', 'do_mg_l', 'alkalinity_mg_l', 'tan_mg_l', 'feed_g_d', 'protein_pct'];

    private const LONGEST = 40;

    /** @return array<string, string> as typed, by key; one that was left empty is there and empty */
    public function conditions(): array
    {
        $typed = [];
        foreach ([...self::CONDITIONS, ...CapacityWhatIf::KEYS] as $key) {
            $value = $this->input($key);
            if ($this->has($key)) {
                $typed[$key] = is_string($value) ? mb_substr($value, 0, self::LONGEST) : '';
            }
        }

        return $typed;
    }
}
