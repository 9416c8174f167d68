<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * How fast a float valve lets water in and what carbon treats it, where a site lies, and what is fed to plants.
 *
 * Protects: rates and amounts that can be; a latitude on the globe.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE vessels ADD COLUMN refill_l_min double precision CHECK (refill_l_min BETWEEN 0.01 AND 1000);
            ALTER TABLE waters ADD COLUMN unit_carbon_l double precision CHECK (unit_carbon_l BETWEEN 0.05 AND 10000);
            ALTER TABLE sites ADD COLUMN latitude_deg double precision CHECK (latitude_deg BETWEEN -90 AND 90);
            ALTER TABLE feed_figures
                ADD COLUMN fertiliser_g_week double precision NOT NULL DEFAULT 0
                    CHECK (fertiliser_g_week BETWEEN 0 AND 100000),
                ADD COLUMN fertiliser_n_pct double precision CHECK (fertiliser_n_pct BETWEEN 0 AND 50);
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE feed_figures DROP COLUMN fertiliser_g_week, DROP COLUMN fertiliser_n_pct;
            ALTER TABLE sites DROP COLUMN latitude_deg;
            ALTER TABLE waters DROP COLUMN unit_carbon_l;
            ALTER TABLE vessels DROP COLUMN refill_l_min;
            SQL
            ,
        );
    }
};
