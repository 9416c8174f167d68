<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * A stage whose flow is what the loop gives it; a volume its keeper knows; how far a waste falls, and how deep a mouth
 * lies under the water.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE stages ADD COLUMN flow_of_loop boolean NOT NULL DEFAULT false;
            ALTER TABLE lines
                ADD COLUMN fall_mm  double precision CHECK (fall_mm BETWEEN 1 AND 20000),
                ADD COLUMN mouth_mm double precision CHECK (mouth_mm BETWEEN 0 AND 20000);
            ALTER TABLE volume_measures
                DROP CONSTRAINT volume_measures_method_check,
                ADD CONSTRAINT volume_measures_method_check CHECK (method IN ('meter', 'salt', 'known'));
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
            DELETE FROM volume_choices WHERE measure_id IN (SELECT id FROM volume_measures WHERE method = 'known');
            DELETE FROM volume_measures WHERE method = 'known';
            ALTER TABLE volume_measures
                DROP CONSTRAINT volume_measures_method_check,
                ADD CONSTRAINT volume_measures_method_check CHECK (method IN ('meter', 'salt'));
            ALTER TABLE lines DROP COLUMN fall_mm, DROP COLUMN mouth_mm;
            ALTER TABLE stages DROP COLUMN flow_of_loop;
            SQL
            ,
        );
    }
};
