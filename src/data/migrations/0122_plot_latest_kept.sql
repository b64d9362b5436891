insert into plot_latest (plot_id, method_id, at, store_id)
select part.plot_id, batch.method_id, application.at, application.store_id
from application_plot part join application on application.id = part.application_id
join store on store.id = application.store_id join batch on batch.id = store.batch_id
where application.id not in (select application_id from application_taken_back)
order by application.at, application.id
on duplicate key update at = values(at), store_id = values(store_id);
