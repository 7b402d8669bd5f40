/** The parts of ECharts that charts here need; loaded only where one is. */
import { LineChart } from 'echarts/charts';
import {
	DataZoomInsideComponent,
	GridComponent,
	LegendComponent,
	MarkAreaComponent,
	MarkLineComponent,
	TooltipComponent
} from 'echarts/components';
import { use } from 'echarts/core';
import { CanvasRenderer, SVGRenderer } from 'echarts/renderers';

use([
	LineChart,
	GridComponent,
	LegendComponent,
	TooltipComponent,
	DataZoomInsideComponent,
	MarkAreaComponent,
	MarkLineComponent,
	CanvasRenderer,
	SVGRenderer
]);

export { init } from 'echarts/core';
