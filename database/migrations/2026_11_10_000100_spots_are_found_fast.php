<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** The few visits that name a spot are found without reading all the others. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared('CREATE INDEX visits_spots ON visits (system_id, spot) WHERE spot IS NOT NULL;');
    }

    public function down(): void
    {
        DB::unprepared('DROP INDEX visits_spots;');
    }
};
