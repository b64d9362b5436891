insert into plot_shape (plot_id, name, kind, ring, area_m2, actor_id, added_at)
select id, name, if(stage = 'perennial', 'row', 'bed'),
       json_array(json_array(x_m, y_m), json_array(x_m + width_m, y_m), json_array(x_m + width_m, y_m + length_m), json_array(x_m, y_m + length_m)),
       area_m2, actor_id, added_at
from plot order by id;
