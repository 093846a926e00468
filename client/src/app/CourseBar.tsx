import { NavLink, useSearchParams } from 'react-router';
import { useEditing } from '../site/editingContext';
import { VIEW_PARAMS } from '../stage/view';
import { COURSE } from './steps';
import './CourseBar.css';

/** The steps in working order. What the stage shows goes along from step to step. */
export function CourseBar() {
  const slug = useEditing((e) => e.site.slug);
  const [params] = useSearchParams();
  const kept = new URLSearchParams();
  for (const name of VIEW_PARAMS) {
    const value = params.get(name);
    if (value) kept.set(name, value);
  }
  return (
    <nav className="course-bar" aria-label="Steps">
      {COURSE.map(({ move, steps }) => (
        <div key={move} className="move" role="group" aria-label={move}>
          <span className="move-name" aria-hidden="true">
            {move}
          </span>
          {steps.map((step) => (
            <NavLink key={step.id} to={{ pathname: `/sites/${slug}/${step.id}`, search: kept.toString() }} className="step">
              {step.name}
            </NavLink>
          ))}
        </div>
      ))}
    </nav>
  );
}
