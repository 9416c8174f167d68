<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** UV lamps: their watts, when the lamp was fitted and the sleeve last wiped. Protects: only a UV stage has a lamp. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE stages
                ADD COLUMN lamp_w double precision CHECK (lamp_w BETWEEN 1 AND 5000),
                ADD COLUMN lamp_fitted_on date,
                ADD COLUMN sleeve_wiped_on date,
                ADD CHECK (kind = 'uv' OR num_nonnulls(lamp_w, lamp_fitted_on, sleeve_wiped_on) = 0);
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            'ALTER TABLE stages DROP COLUMN lamp_w, DROP COLUMN lamp_fitted_on, DROP COLUMN sleeve_wiped_on',
        );
    }
};
